<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
  import {
    answer,
    api,
    Refusal,
    why,
    type Belief,
    type Clock,
    type Goal,
    type GoalAsked,
    type Derivation,
    type Unit,
  } from '../lib/api/client'
  import { keys } from '../lib/page/data'
  import DerivationDialog from '../lib/parts/DerivationDialog.svelte'
  import GoalDots from './GoalDots.svelte'

  /** A goal says what it takes somebody, with a slider over it. */
  interface Props {
    goal: Goal
    rate: number
    /** What the rate comes from, where it is not known for sure. */
    belief?: Belief
    partner?: number
    clock: Clock
    /** What is tried. */
    unit?: Unit
    minutes?: number
    /** Points of a race in all, for a fair score. */
    length?: number
    disabled?: boolean
    onchange: (goal: Goal) => void
    /** What was wrong, by path. */
    onerrors?: (fields: Record<string, string>) => void
  }
  let {
    goal,
    rate,
    belief,
    partner,
    clock,
    unit,
    minutes,
    length,
    disabled = false,
    onchange,
    onerrors,
  }: Props = $props()
  let moving = $state<number | null>(null)
  let derivation = $state<Derivation | null>(null)
  const asked = $derived<GoalAsked>({
    goal: { ...$state.snapshot(goal), count: moving ?? goal.count },
    rate,
    belief,
    unit,
    partner: partner ?? rate,
    clock,
    minutes,
    length,
  })
  const query = createQuery(() => ({
    queryKey: keys.goal(asked),
    queryFn: () => answer(api.POST('/api/reckoner/goal', { body: asked })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
  }))
  const reckoned = $derived(query.error ? undefined : query.data)
  const fitted = $derived(reckoned?.fitted)
  const id = $props.id()
  $effect(() => onerrors?.(query.error instanceof Refusal ? query.error.fields : {}))
</script>

{#if query.error}
  <p class="text-error mt-2" role="alert">
    {why(query.error)}
  </p>
{:else if reckoned}
  <p
    class="mt-2 text-lg first-letter:uppercase"
    role="status"
    aria-label="What the goal takes"
    data-figure="goal {JSON.stringify(asked)}"
  >
    {reckoned.answer.sentence}.
  </p>
  {#if reckoned.answer.carry > 0 && !reckoned.answer.never && reckoned.answer.carry <= 1000}
    <p class="mt-1">Carry {Math.round(reckoned.answer.carry)} balls: they last 9 times in 10.</p>
  {/if}
  {#if reckoned.sentence}<p class="mt-1">{reckoned.sentence}</p>{/if}
  {#if reckoned.fair}
    {@const fair = reckoned.fair}
    <p class="mt-1">
      {reckoned.fairSentence}
      {#if !disabled}<button type="button" class="link" onclick={() => onchange(fair)}
          >take the fair score</button
        >{/if}
    </p>
  {/if}
  {#if reckoned.slider}
    <div class="no-print mt-2 flex items-center gap-3">
      <label for="{id}-slide" class="text-sm">Slide the goal</label>
      <input
        id="{id}-slide"
        type="range"
        class="range range-sm flex-1"
        min="1"
        max={reckoned.slider}
        value={moving ?? goal.count}
        {disabled}
        oninput={(event) => (moving = event.currentTarget.valueAsNumber)}
        onchange={(event) => {
          onchange({ ...$state.snapshot(goal), count: event.currentTarget.valueAsNumber })
          moving = null
        }}
      />
      <output for="{id}-slide" class="drum-digits w-10 text-right text-2xl">{moving ?? goal.count}</output>
    </div>
  {/if}
  <GoalDots answer={reckoned.answer} />
  <p class="no-print mt-1 flex flex-wrap gap-x-4">
    <button type="button" class="link" onclick={() => (derivation = reckoned.answer.derivation)}
      >how this came about</button
    >
    {#if fitted && !disabled}
      <button type="button" class="link" onclick={() => onchange(fitted)}>take the goal that fits</button>
    {/if}
  </p>
{/if}
<DerivationDialog {derivation} onclose={() => (derivation = null)} />
