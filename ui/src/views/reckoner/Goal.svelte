<script lang="ts">
  import GoalFields from '../../goal/GoalFields.svelte'
  import GoalAnswer from '../../goal/GoalAnswer.svelte'
  import type { Goal } from '../../lib/api/client'
  import { settingsQuery, vocabularyQuery } from '../../lib/page/data'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import { remembered } from './remembered.svelte'

  const vocabulary = vocabularyQuery()
  const settings = settingsQuery()
  const asked = remembered('goal', {
    goal: { kind: 'in a row', count: 5 } as Goal,
    ofTen: 6,
    partner: 6,
    minute: 12,
    point: 20,
    restart: 5,
    minutes: 6,
    length: 15,
  })
  const form = $derived(vocabulary.data?.goals.find((each) => each.kind === asked.goal.kind))
  const unit = $derived(form?.unit ?? 'ball')
  /** Points and tries are timed one by one, balls and strokes by their rate. */
  const timed = $derived(unit === 'point' || unit === 'time')
  const words = {
    ball: { makes: 'Makes', comes: 'Balls' },
    rally: { makes: 'Makes', comes: 'Strokes' },
    sequence: { makes: 'Makes', comes: 'Sequences' },
    repetition: { makes: 'Makes', comes: 'Repetitions' },
    point: { makes: 'Points won', comes: 'A point takes' },
    time: { makes: 'Tries good enough', comes: 'A try takes' },
  }
  let errors = $state<Record<string, string>>({})
  const clock = $derived({
    gap: timed ? asked.point : asked.minute > 0 ? 60 / asked.minute : 0,
    sequence: 1,
    pause: unit === 'rally' ? asked.restart : 0,
    people: 1,
    basket: settings.data?.settings.basket ?? 60,
    pickUp: settings.data?.settings.pickUp ?? 2.5,
  })
</script>

<p class="hint max-sm:hidden">
  How many balls and minutes does a goal take somebody who makes so many of ten?
</p>
{#if vocabulary.isPending || settings.isPending}
  <p class="mt-3" role="status">Loading…</p>
{:else}
  <div class="sheet mt-3 max-w-3xl">
    <div class="mb-3 grid grid-cols-2 gap-3 min-[380px]:grid-cols-3 md:grid-cols-4">
      <NumberField
        label={words[unit].makes}
        unit="of 10"
        step={0.1}
        min={0}
        value={asked.ofTen}
        error={errors.rate}
        onchange={(v) => (asked.ofTen = v)}
      />
      {#if asked.goal.kind === 'together'}
        <NumberField
          label="The partner makes"
          unit="of 10"
          step={0.1}
          min={0}
          value={asked.partner}
          error={errors.partner}
          onchange={(v) => (asked.partner = v)}
        />
      {/if}
      {#if timed}
        <NumberField
          label={words[unit].comes}
          unit="s"
          min={1}
          step={1}
          value={asked.point}
          error={errors.clock ?? errors['clock.gap']}
          onchange={(v) => (asked.point = v)}
        />
        {#if unit === 'point'}
          <NumberField
            label="Points in all, about"
            min={1}
            value={asked.length}
            error={errors.length}
            onchange={(v) => (asked.length = v)}
          />
        {/if}
      {:else}
        <NumberField
          label={words[unit].comes}
          unit="/min"
          min={0.5}
          step={0.5}
          value={asked.minute}
          error={errors.clock ?? errors['clock.gap']}
          onchange={(v) => (asked.minute = v)}
        />
      {/if}
      {#if unit === 'rally'}
        <NumberField
          label="Until the next rally"
          unit="s"
          min={0}
          step={1}
          value={asked.restart}
          error={errors['clock.pause']}
          onchange={(v) => (asked.restart = v)}
        />
      {/if}
      <NumberField
        label="Time"
        unit="min"
        step={0.5}
        min={0}
        value={asked.minutes}
        error={errors.minutes ?? errors.seconds}
        onchange={(v) => (asked.minutes = v)}
      />
    </div>
    <GoalFields
      goal={asked.goal}
      vocabulary={vocabulary.data}
      {errors}
      onchange={(changed) => (asked.goal = changed)}
    />
    <GoalAnswer
      goal={asked.goal}
      rate={asked.ofTen / 10}
      partner={asked.partner / 10}
      {clock}
      minutes={asked.minutes}
      length={unit === 'point' ? asked.length : undefined}
      onchange={(changed) => (asked.goal = changed)}
      onerrors={(fields) => (errors = fields)}
    />
  </div>
{/if}
