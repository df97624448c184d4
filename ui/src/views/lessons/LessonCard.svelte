<script lang="ts">
  import type { Lesson } from '../../lib/api/client'
  import { listed } from '../../lib/words'
  import Road from '../../road/Road.svelte'

  interface Props {
    lesson: Lesson
  }
  let { lesson }: Props = $props()
  const document = $derived(lesson.document)
  const open = $derived(`#/lessons/${lesson.id}`)
  const carry = $derived(
    lesson.plan.metrics.filter((metric) => metric.name === 'Balls' || metric.name === 'Baskets'),
  )
  /** What stands on court when the first drill begins. */
  const firstDrill = $derived(lesson.plan.blocks.find((s) => s.comes.length > 0))
  const signs = $derived(lesson.plan.findings.filter((finding) => finding.severity !== 'note').length)
</script>

<article class="sheet" aria-labelledby="lesson-{lesson.id}">
  <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
    <span class="drum-digits text-2xl">{document.start}</span>
    <h3 id="lesson-{lesson.id}" class="text-lg font-semibold">
      <a class="link-hover" href={open}>{document.title}</a>
    </h3>
    <span class="hint">{document.minutes} min · {lesson.people.map((p) => p.name).join(', ')}</span>
    <span class="flex gap-3 sm:ml-auto">
      {#each carry as metric, i (i)}
        <span class="whitespace-nowrap"
          ><span class="drum-digits text-xl">{metric.text}</span>
          {metric.name === 'Balls' ? 'balls' : `baskets ${metric.unit}`}</span
        >
      {/each}
    </span>
  </div>
  {#each lesson.clashes as clash, i (i)}<p class="text-error text-sm">{clash}</p>{/each}
  <div class="mt-2"><Road plan={lesson.plan} height={86} /></div>
  {#if lesson.plan.carry.length}
    <p class="mt-1 text-sm">
      <strong>Carry</strong>
      {listed(lesson.plan.carry)}{#if firstDrill}; <strong>stands ready</strong> by {firstDrill.clock}: {listed(
          firstDrill.comes,
        )}{/if}.
    </p>
  {/if}
  <div class="mt-2 flex flex-wrap items-center gap-2">
    {#if lesson.state === 'finished'}
      <a class="btn btn-sm btn-primary" href="{open}/afterwards">Afterwards</a>
    {:else}
      <a class="btn btn-sm btn-primary" href="{open}/courtside"
        >{lesson.state === 'begun' ? 'Back courtside' : 'Go courtside'}</a
      >
    {/if}
    <a class="btn btn-sm" href={open}>Plan</a>
    <a class="btn btn-sm" href="{open}/sheet">Run sheet</a>
    {#if signs > 0}<a class="link text-error ml-auto text-sm" href={open}
        >{signs === 1 ? '1 thing' : `${signs} things`} to look at</a
      >{/if}
  </div>
</article>
