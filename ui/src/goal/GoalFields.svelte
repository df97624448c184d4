<script lang="ts">
  import type { Goal, Unit, Vocabulary } from '../lib/api/client'
  import NumberField from '../lib/fields/NumberField.svelte'
  import SelectField from '../lib/fields/SelectField.svelte'
  import { numbersOf, ofForm } from './goals'

  /** What is to be reached, field by field as its kind needs them. */
  interface Props {
    goal: Goal
    /** Only goals that are counted in it; undefined: all. */
    unit?: Unit
    vocabulary: Vocabulary | undefined
    /** By path, with the goal's own path before it. */
    errors: Record<string, string>
    disabled?: boolean
    onchange: (goal: Goal) => void
  }
  let { goal, unit, vocabulary, errors, disabled = false, onchange }: Props = $props()
  const set = (change: Partial<Goal>) => onchange({ ...$state.snapshot(goal), ...change })
  const forms = $derived((vocabulary?.goals ?? []).filter((each) => !unit || each.units.includes(unit)))
  const form = $derived(forms.find((each) => each.kind === goal.kind))
  type Stage = NonNullable<Goal['stages']>[number]
  const stages = $derived(goal.stages ?? [])
  const setStage = (i: number, change: Partial<Stage>) =>
    set({ stages: stages.map((stage, n) => (n === i ? { ...stage, ...change } : stage)) })
</script>

<fieldset {disabled} class="grid grid-cols-2 gap-3 md:grid-cols-4">
  <legend class="sr-only">The goal</legend>
  <div class="col-span-2">
    <SelectField
      label="Goal"
      value={goal.kind}
      options={forms.length ? forms.map(({ kind, label }) => ({ value: kind, label })) : [goal.kind]}
      error={errors['goal.kind']}
      onchange={(kind) => {
        const chosen = forms.find((each) => each.kind === kind)
        if (chosen) onchange(ofForm($state.snapshot(chosen), $state.snapshot(goal), unit))
      }}
    />
  </div>
  {#if form?.counted && !(goal.kind === 'few misses' && goal.minutes)}
    <NumberField
      label={form.counted}
      min={1}
      value={goal.count}
      error={errors['goal.count']}
      onchange={(count) => set({ count })}
    />
  {/if}
  {#each numbersOf(goal, form, unit) as number (number.name)}
    <NumberField
      label={number.label}
      unit={number.unit}
      min={number.min}
      step={number.step}
      value={number.value}
      error={errors[`goal.${number.name}`]}
      onchange={(value) => set({ [number.name]: value })}
    />
  {/each}
  {#if goal.kind === 'few misses'}
    <SelectField
      label="Which misses"
      value={goal.only ?? ''}
      options={[
        { value: '', label: 'any' },
        { value: 'net', label: 'into the net' },
        { value: 'long', label: 'long' },
        { value: 'wide', label: 'wide' },
      ]}
      onchange={(only) => set({ only: only || undefined })}
    />
  {/if}
  {#if form?.misses.length}
    <div class="col-span-2">
      <SelectField
        label="After a miss"
        value={goal.miss ?? 'back to zero'}
        options={form.misses}
        onchange={(miss) => set({ miss })}
      />
    </div>
  {/if}
  {#if goal.kind === 'in stages'}
    <ol class="col-span-2 flex flex-col gap-2 md:col-span-4">
      {#each stages as stage, i (i)}
        <li class="flex items-end gap-2">
          <div class="w-28">
            <NumberField
              label="Stage {i + 1}"
              min={1}
              value={stage.count}
              error={errors[`goal.stages.${i}.count`]}
              onchange={(count) => setStage(i, { count })}
            />
          </div>
          <select
            class="select w-40"
            aria-label="Stage {i + 1}: how hard"
            value={stage.hard ?? 'as usual'}
            onchange={(event) => setStage(i, { hard: event.currentTarget.value as Stage['hard'] })}
          >
            {#each vocabulary?.hard ?? [] as hard (hard)}<option>{hard}</option>{/each}
          </select>
          <button
            type="button"
            class="btn btn-sm mb-1"
            disabled={stages.length < 2}
            aria-label="Drop stage {i + 1}"
            onclick={() => set({ stages: stages.filter((_, n) => n !== i) })}>−</button
          >
        </li>
      {/each}
      <li>
        <button
          type="button"
          class="btn btn-sm"
          disabled={stages.length >= 12}
          onclick={() => set({ stages: [...stages, { count: stages.at(-1)?.count ?? 5 }] })}
          >Add a stage</button
        >
      </li>
    </ol>
    {#if errors['goal.stages']}<p class="text-error col-span-2 text-sm" role="alert">
        {errors['goal.stages']}
      </p>{/if}
  {/if}
</fieldset>
