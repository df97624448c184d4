<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api, describe, type LessonBrief } from '../../lib/api/client'
  import { keys } from '../../lib/page/data'
  import { listed } from '../../lib/words/words'
  import Road from '../../road/Road.svelte'

  interface Props {
    brief: LessonBrief
  }
  let { brief }: Props = $props()
  const open = $derived(`#/lessons/${brief.id}`)
  /** The plan comes after the list, lesson by lesson. */
  const query = createQuery(() => ({
    queryKey: keys.lesson(brief.id),
    queryFn: () => answer(api.GET('/api/lessons/{id}', { params: { path: { id: brief.id } } })),
  }))
  const plan = $derived(query.data?.plan)
  const carry = $derived(plan?.metrics.slice(2, 4) ?? [])
  /** What stands on court when the first drill begins. */
  const firstDrill = $derived(plan?.blocks.find((s) => s.comes.length > 0))
  const signs = $derived(plan?.findings.filter((finding) => finding.severity !== 'note').length ?? 0)
</script>

<article class="sheet" aria-labelledby="lesson-{brief.id}">
  <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
    <span class="drum-digits text-2xl">{brief.start}</span>
    <h3 id="lesson-{brief.id}" class="text-lg font-semibold">
      <a class="link-hover" href={open}>{brief.title}</a>
    </h3>
    <span class="hint">{brief.minutes} min · {brief.people.join(', ')}</span>
  </div>
  {#each brief.clashes as clash, i (i)}<p class="text-error text-sm">{clash}</p>{/each}
  <div class="mt-2 flex flex-wrap items-center gap-2">
    {#if brief.state === 'finished'}
      <a class="btn btn-sm btn-primary" href="{open}/afterwards">Afterwards</a>
    {:else}
      <a class="btn btn-sm btn-primary" href="{open}/courtside"
        >{brief.state === 'begun' ? 'Back courtside' : 'Go courtside'}</a
      >
    {/if}
    <a class="btn btn-sm" href={open}>Plan</a>
    <a class="btn btn-sm" href="{open}/sheet">Run sheet</a>
  </div>
  <div class="planned mt-2">
    {#if plan}
      <Road {plan} height={86} />
      <div class="flex flex-wrap items-baseline gap-x-4 text-sm">
        <span class="flex gap-3">
          {#each carry as metric, i (i)}
            <span
              class="whitespace-nowrap"
              data-figure="{brief.id} {metric.name}"
              data-value="{metric.text} {metric.unit}"
              ><span class="drum-digits text-xl">{metric.text}</span>
              {metric.name.toLowerCase()}
              {metric.name === 'Balls fed' ? '' : metric.unit}</span
            >
          {/each}
        </span>
        {#if plan.carry.length}
          <p>
            <strong>Carry</strong>
            <span data-figure="{brief.id} Carry">{listed(plan.carry)}</span>{#if firstDrill}; <strong
                >stands ready</strong
              >
              by {firstDrill.clock}: {listed(firstDrill.comes)}{/if}.
          </p>
        {/if}
        {#if signs > 0}<a class="link-hover text-error ml-auto underline" href={open}
            >{signs === 1 ? '1 thing' : `${signs} things`} to look at</a
          >{/if}
      </div>
    {:else if query.error}<p class="text-error" role="alert">{describe(query.error)}</p>{/if}
  </div>
</article>

<style>
  /* Nothing below moves when the plan comes: the road, and as many lines of figures as there are mostly. */
  .planned {
    min-height: 6.9rem;
  }
  @media (max-width: 1100px) {
    .planned {
      min-height: 9.3rem;
    }
  }
  @media (max-width: 700px) {
    .planned {
      min-height: 10.6rem;
    }
  }
</style>
