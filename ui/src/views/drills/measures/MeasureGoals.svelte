<script lang="ts">
  import type { MeasuredDraft } from '../versions/versionMeasures'
  import GoalAnswer from '../../../goal/GoalAnswer.svelte'
  import GoalFields from '../../../goal/GoalFields.svelte'
  import type {
    Derivation,
    AdaptRequest,
    Goal,
    Measure,
    MeasureFit,
    Vocabulary,
  } from '../../../lib/api/client'
  import DerivationDialog from '../../../lib/parts/DerivationDialog.svelte'
  import { beneath } from '../../../lib/fields/fields'
  import FitForm from './FitForm.svelte'

  /** The goals of a measure, one after the other, and what each takes whoever the drill is tried on. */
  interface Props {
    draft: MeasuredDraft
    nth: number
    measure: Measure
    fit: MeasureFit | undefined
    vocabulary: Vocabulary | undefined
    builtIn: boolean
    errors: Record<string, string>
    onfit: (fit: AdaptRequest) => void
  }
  let { draft, nth, measure, fit, vocabulary, builtIn, errors, onfit }: Props = $props()
  const most = 6
  const follow = $derived((draft.document.order ?? 'side by side') !== 'side by side')
  let derivation = $state<Derivation | null>(null)
  const path = $derived(`measures.${nth}.goals`)
  const change = (alter: (goals: Goal[]) => void) =>
    draft.change((d) => {
      const own = d.measures[nth]
      if (own) alter(own.goals)
    })
  const follows = $derived(
    vocabulary?.goals.find(
      (form) => form.units.includes(measure.what) && ['in a row', 'sets in rallies'].includes(form.kind),
    ),
  )
</script>

{#if fit}
  <p class="mt-3">
    <span class="drum-digits text-xl">{fit.attempts}</span>
    {fit.word} each in the turns there are{follow ? ', shared out evenly among the measures' : ''}.
  </p>
  {#if measure.what !== 'time'}
    {#if fit.made}<p class="first-letter:uppercase">{fit.made}.</p>{/if}
    <p>
      Made {fit.rates.rate.sentence}
      <button class="link no-print" onclick={() => (derivation = fit.rates.rate.derivation)}
        >how<span class="sr-only"> this rate came about</span></button
      >
    </p>
  {/if}
  {#if fit.rates.choice}<p>Right choice: {fit.rates.choice.sentence}</p>{/if}
  {#if fit.rates.between}<p>{fit.rates.between.sentence}</p>{/if}
{/if}
<ol class="goals">
  {#each measure.goals as goal, g (g)}
    {@const took = fit?.goals[g]}
    <li aria-label={measure.goals.length > 1 ? `Goal ${g + 1}` : 'The goal'}>
      {#if measure.goals.length > 1}
        <div class="mt-2 flex items-center gap-3">
          <h4 class="font-semibold">{g === 0 ? 'First' : 'Then'}</h4>
          {#if !builtIn}<button class="link text-sm" onclick={() => change((goals) => goals.splice(g, 1))}
              >take goal {g + 1} out</button
            >{/if}
        </div>
      {/if}
      {#if !builtIn}
        <GoalFields
          {goal}
          unit={measure.what}
          {vocabulary}
          errors={beneath(errors, `${path}.${g}`, 'goal')}
          onchange={(after) =>
            draft.change((d) => {
              const own = d.measures[nth]
              if (!own) return
              own.goals[g] = after
              if (after.kind === 'together') delete own.who // each counts, and it is added up
            })}
        />
      {/if}
      {#if took?.answer}
        <GoalAnswer
          {goal}
          rate={took.rate}
          belief={took.belief}
          clock={took.clock}
          unit={measure.what}
          disabled={builtIn}
          onchange={(after) => change((goals) => (goals[g] = after))}
        />
        {#if !builtIn}
          <FitForm
            button="Fit the goal"
            before="to"
            label="Minutes for the goal"
            value={6}
            min={0.5}
            max={180}
            step={0.5}
            after="min"
            onfit={(minutes) => onfit({ measure: measure.number, goal: g, minutes })}
          />
        {/if}
      {:else if took?.why}
        <p class="hint mt-2">What it takes: {took.why}.</p>
      {/if}
    </li>
  {/each}
</ol>
{#if errors[path]}<p class="text-error text-sm" role="alert">{errors[path]}</p>{/if}
{#if !builtIn && follows && measure.goals.length < most}
  <button
    class="btn btn-sm mt-2"
    onclick={() => change((goals) => goals.push($state.snapshot(follows.first)))}>Then another goal</button
  >
{/if}
<DerivationDialog {derivation} onclose={() => (derivation = null)} />
