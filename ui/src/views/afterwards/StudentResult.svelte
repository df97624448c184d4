<script lang="ts">
  import type { Afterwards, Counter } from '../../lib/api/client'
  import SaveState from '../../lib/drafts/SaveState.svelte'
  import TextField from '../../lib/fields/TextField.svelte'
  import { misses, outcome, tally } from '../../lib/words/words'
  import BothMarks from './BothMarks.svelte'
  import { remarkDraft } from './remarks'

  interface Props {
    lesson: string
    result: Afterwards['students'][number]
    counters: Counter[]
  }
  let { lesson, result, counters }: Props = $props()
  const id = $props.id()
  // svelte-ignore state_referenced_locally
  const draft = remarkDraft(lesson, result)
  const remarked = $derived(draft.document)
  const fields = $derived(draft.fields)
  const keep = (part: Partial<typeof remarked>) => draft.change((d) => Object.assign(d, part))
</script>

<section class="sheet" aria-labelledby="{id}-name">
  <div class="flex flex-wrap items-baseline gap-3">
    <h2 id="{id}-name"><a class="link link-hover" href="#/students/{result.student}">{result.name}</a></h2>
    <SaveState {draft} />
  </div>
  <dl class="mt-2 flex flex-wrap gap-6">
    <div>
      <dt class="text-sm">Made</dt>
      <dd><span class="drum-digits text-4xl">{result.made}</span> of {result.balls} balls</dd>
    </div>
    <div>
      <dt class="text-sm">Best in a row</dt>
      <dd>{result.atLeast ? 'at least ' : ''}<span class="drum-digits text-4xl">{result.best}</span></dd>
    </div>
  </dl>
  {#if result.played}
    <p class="mt-2">
      <span class="text-sm">Played of what was planned:</span>
      {result.played}<span class="hint"
        >, {result.counted
          ? `counted in ${result.counted} ${result.counted === 1 ? 'block' : 'blocks'}, else by the time`
          : 'by the time'}</span
      >
    </p>
  {/if}
  {#if result.faults.length}
    <p class="mt-2">
      <span class="text-sm">Seen:</span>
      {result.faults
        .map(({ fault, times }) => `${fault} ${times} ${times === 1 ? 'time' : 'times'}`)
        .join('; ')}
    </p>
  {/if}
  {#if counters.length}
    <table class="table-sm mt-2 table">
      <thead
        ><tr
          ><th scope="col">Drill</th><th scope="col" class="text-right">Made</th><th
            scope="col"
            class="text-right">Best</th
          ><th scope="col">Goal</th></tr
        ></thead
      >
      <tbody>
        {#each counters as counter (`${counter.block}/${counter.measure}`)}
          <tr>
            <th scope="row" class="font-normal">{counter.drill}{counter.called && `, ${counter.called}`}</th>
            <td class="text-right whitespace-nowrap tabular-nums"
              ><span data-figure="{lesson} {result.student} {counter.drill} {counter.called} counted"
                >{tally(counter.unit, counter.count)}</span
              >{#if misses(counter.count)}<br /><span class="hint">{misses(counter.count)}</span>{/if}</td
            >
            <td class="text-right whitespace-nowrap tabular-nums"
              >{counter.count.atLeast ? '≥ ' : ''}{counter.count.best}</td
            >
            <td
              >{counter.goal}: {counter.count.taps || counter.standing.met
                ? outcome(counter.standing)
                : 'not counted'}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  <div class="mt-3 grid gap-2">
    <BothMarks
      engagement={remarked.engagement || undefined}
      effort={remarked.effort}
      errors={fields}
      onengagement={(engagement) => keep({ engagement })}
      oneffort={(effort) => keep({ effort })}
    />
  </div>
  <div class="mt-3">
    <TextField
      label="One remark"
      live
      rows={2}
      value={remarked.remark}
      error={fields.remark}
      onchange={(remark) => keep({ remark })}
    />
  </div>
  {#if result.next.length}
    <div class="mt-3">
      <h3 class="text-sm font-medium">Next time</h3>
      <ul>
        {#each result.next as { stroke, advice } (stroke)}
          <li><strong class="first-letter:uppercase">{stroke}</strong>: {advice.reason}</li>
        {/each}
      </ul>
    </div>
  {/if}
  <a class="btn btn-sm mt-3" href="#/students/{result.student}">See the next step</a>
</section>
