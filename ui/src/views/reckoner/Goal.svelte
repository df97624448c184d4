<script lang="ts">
  import GoalFields from '../../goal/GoalFields.svelte'
  import GoalAnswer from '../../goal/GoalAnswer.svelte'
  import type { Goal } from '../../lib/api/client'
  import { settingsQuery, vocabularyQuery } from '../../lib/data'
  import NumberField from '../../lib/NumberField.svelte'

  const vocabulary = vocabularyQuery()
  const settings = settingsQuery()
  let goal = $state<Goal>({ kind: 'in a row', count: 5 })
  let ofTen = $state(6)
  let partner = $state(6)
  let minute = $state(12)
  let minutes = $state(6)
  let errors = $state<Record<string, string>>({})
  const clock = $derived({
    gap: minute > 0 ? 60 / minute : 0,
    sequence: 1,
    pause: 0,
    people: 1,
    basket: settings.data?.settings.basket ?? 60,
    pickUp: settings.data?.settings.pickUp ?? 2.5,
  })
</script>

<p class="hint max-sm:hidden">
  How many balls and minutes does a goal take somebody who makes so many of ten?
</p>
<div class="sheet mt-3 max-w-3xl">
  <div class="mb-3 grid grid-cols-3 gap-3 md:grid-cols-4">
    <NumberField
      label={goal.kind === 'first to' ? 'Points won' : 'Makes'}
      unit="of 10"
      step={0.5}
      min={0}
      value={ofTen}
      error={errors.rate}
      onchange={(v) => (ofTen = v)}
    />
    {#if goal.kind === 'together'}
      <NumberField
        label="The partner makes"
        unit="of 10"
        step={0.5}
        min={0}
        value={partner}
        error={errors.partner}
        onchange={(v) => (partner = v)}
      />
    {/if}
    <NumberField
      label="Balls"
      unit="/min"
      min={0.5}
      step={0.5}
      value={minute}
      error={errors.clock ?? errors['clock.gap']}
      onchange={(v) => (minute = v)}
    />
    <NumberField
      label="Time"
      unit="min"
      step={0.5}
      min={0}
      value={minutes}
      error={errors.minutes ?? errors.seconds}
      onchange={(v) => (minutes = v)}
    />
  </div>
  <GoalFields {goal} vocabulary={vocabulary.data} {errors} onchange={(changed) => (goal = changed)} />
  <GoalAnswer
    {goal}
    rate={ofTen / 10}
    partner={partner / 10}
    {clock}
    {minutes}
    onchange={(changed) => (goal = changed)}
    onerrors={(fields) => (errors = fields)}
  />
</div>
