<script lang="ts">
  import type { Afterwards, Counter } from '../../lib/api/client'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import SaveState from '../../lib/SaveState.svelte'
  import TextField from '../../lib/TextField.svelte'
  import { counted, misses, outcome } from '../../lib/words'

  interface Props {
    lesson: string
    result: Afterwards['students'][number]
    counters: Counter[]
  }
  let { lesson, result, counters }: Props = $props()
  const id = $props.id()
  // One draft for each student and lesson, for as long as the page is open.
  // svelte-ignore state_referenced_locally
  const draft = drafts.open('remark', `${lesson}/${result.student}`, {
    document: { engagement: result.engagement, remark: result.remark },
    revision: 0,
  })
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
              >{counted(counter.unit, counter.count)
                .map((part) => part || 'points')
                .join(' ')}{#if misses(counter.count)}<br /><span class="hint">{misses(counter.count)}</span
                >{/if}</td
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
  <fieldset class="mt-3">
    <legend class="text-sm font-medium">How engaged they felt, out of ten</legend>
    <div class="mt-1 flex flex-wrap gap-1">
      {#each Array.from({ length: 10 }, (_, n) => n + 1) as n (n)}
        <label class="mark" class:on={remarked.engagement === n}>
          <input
            type="radio"
            name="{id}-engagement"
            class="sr-only"
            checked={remarked.engagement === n}
            onchange={() => keep({ engagement: n })}
          />
          <span class="drum-digits">{n}</span>
        </label>
      {/each}
    </div>
    {#if fields.engagement}<p class="text-error text-sm" role="alert">{fields.engagement}</p>{/if}
  </fieldset>
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
  <a class="btn btn-sm mt-3" href="#/students/{result.student}">See the next step</a>
</section>

<style>
  .mark {
    display: grid;
    place-items: center;
    width: 2.4rem;
    height: 2.4rem;
    border: 1px solid var(--color-base-content);
    border-radius: var(--radius-field);
    cursor: pointer;
    font-size: 1.25rem;
  }
  .mark.on {
    background: var(--color-primary);
    color: var(--color-primary-content);
  }
  .mark:focus-within {
    outline: 3px solid var(--color-info);
    outline-offset: 2px;
  }
</style>
