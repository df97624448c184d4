<script lang="ts">
  import type { Attendance } from '../../lib/api/client'

  /** How often a student came. */
  let { roll }: { roll: Attendance } = $props()
</script>

{#if roll.of}
  <section class="sheet" aria-labelledby="roll">
    <h2 id="roll">Attendance</h2>
    <p class="mt-1">
      Came to <strong>{roll.came} of {roll.of}</strong>
      {roll.of === 1 ? 'lesson' : 'lessons'} since {roll.since}.
    </p>
    <details class="mt-2">
      <summary class="cursor-pointer">Lesson by lesson</summary>
      <ul class="mt-2 flex flex-col gap-1">
        {#each roll.each as one, i (i)}
          <li class="flex flex-wrap gap-x-3">
            <span class="tabular-nums">{one.day}</span>
            {#if one.lesson}<a class="link link-hover" href="#/lessons/{one.lesson}/afterwards">{one.title}</a
              >{:else}<span>{one.title || 'before Hodometer'}</span>{/if}
            <span class:text-error={!one.came}
              >{one.came
                ? one.minutes === null
                  ? 'came'
                  : `${Math.round(one.minutes)} min`
                : 'was not there'}</span
            >
          </li>
        {/each}
      </ul>
    </details>
  </section>
{/if}
