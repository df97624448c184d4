<script lang="ts">
  import type { Progress } from '../../lib/api/client'
  import { onDay } from '../../lib/words/words'

  /** What was seen courtside, lesson by lesson, and whether it is going down. */
  interface Props {
    faults: Progress['faults']
  }
  let { faults }: Props = $props()
  const signs = { down: '▼', up: '▲', '': '■' }
  /** The height of a bar: faults in ten balls, the highest fills it. */
  const per = (times: number, balls: number) => (10 * times) / Math.max(1, balls)
  const highest = (lessons: Progress['faults'][number]['lessons']) =>
    Math.max(0.1, ...lessons.map(({ times, balls }) => per(times, balls)))
</script>

{#if faults.length}
  <section class="sheet" aria-labelledby="seen">
    <h2 id="seen">Faults that were seen</h2>
    {#each faults as { fault, lessons, going, sentence } (fault)}
      <div class="mt-3">
        <h3 class="font-semibold first-letter:uppercase">{fault}</h3>
        <ol class="bars" aria-label="In each lesson, oldest first">
          {#each lessons as { at, times, balls } (at)}
            <li title="{onDay(at.slice(0, 10), 'short')}: {times} in {balls} balls">
              <span class="bar" style:height="{(100 * per(times, balls)) / highest(lessons)}%"></span>
              <span class="sr-only">{onDay(at.slice(0, 10), 'short')}: {times} in {balls} balls</span>
            </li>
          {/each}
        </ol>
        <p class="text-sm first-letter:uppercase">
          <span aria-hidden="true">{signs[going === 'down' || going === 'up' ? going : '']}</span>
          {sentence}.
        </p>
      </div>
    {/each}
  </section>
{/if}

<style>
  .bars {
    display: flex;
    align-items: flex-end;
    gap: 3px;
    height: 3rem;
    border-bottom: 2px solid var(--color-base-300);
  }
  .bars li {
    display: flex;
    align-items: flex-end;
    width: 14px;
    height: 100%;
  }
  .bar {
    width: 100%;
    min-height: 2px;
    background: var(--color-primary);
  }
</style>
