<script lang="ts">
  import type { MeasuredDraft } from '../versions/versionMeasures'
  import type { Measure, Report, Vocabulary } from '../../../lib/api/client'

  /** What makes a movement right in one measure. */
  interface Props {
    draft: MeasuredDraft
    nth: number
    report: Report
    vocabulary: Vocabulary
  }
  let { draft, nth, report, vocabulary }: Props = $props()
  type Counts = NonNullable<Measure['counts']>
  type Criterion = NonNullable<Counts['criteria']>[number]
  const most = 4
  const id = $props.id()
  const said = $derived(report.measures[nth]?.criteria ?? [])
  let kind = $state<Criterion['kind']>('met before a line')
  // The court of a drill stays the same for as long as the bench is open on it.
  // svelte-ignore state_referenced_locally
  let line = $state(report.court.lines[0]?.id ?? '')
  // svelte-ignore state_referenced_locally
  const near = report.court.boxes.find((each) => each.id.startsWith('near')) ?? report.court.boxes[0]
  let box = $state(near?.id ?? '')

  const change = (alter: (list: Criterion[]) => Criterion[]) =>
    draft.change((d) => {
      const own = d.measures[nth]
      if (own) own.counts = { ...own.counts, criteria: alter(own.counts?.criteria ?? []) }
    })
  const add = () =>
    change((list) => [
      ...list,
      {
        kind,
        line: kind === 'met before a line' ? line : undefined,
        box: kind === 'feet in a box' ? box : undefined,
      },
    ])
</script>

<div class="mt-2 flex flex-wrap items-center gap-2">
  <label for="{id}-kind" class="text-sm">Right when</label>
  <select id="{id}-kind" class="select select-sm w-auto" bind:value={kind}>
    {#each vocabulary.criteria as each (each)}<option>{each}</option>{/each}
  </select>
  {#if kind === 'met before a line'}
    <select class="select select-sm w-auto" aria-label="Which line" bind:value={line}>
      {#each report.court.lines as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
    </select>
  {:else if kind === 'feet in a box'}
    <select class="select select-sm w-auto" aria-label="Which box" bind:value={box}>
      {#each report.court.boxes as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
    </select>
  {/if}
  <button class="btn btn-sm" disabled={said.length >= most} onclick={add}>Add</button>
</div>
{#if said.length}
  <ul class="mt-1 text-sm" aria-label="What makes it right">
    {#each said as each, i (i)}
      <li>
        {each.text}
        <button class="link" onclick={() => change((list) => list.filter((_, k) => k !== i))}
          >take it out<span class="sr-only">: {each.text}</span></button
        >
      </li>
    {/each}
  </ul>
{/if}
