<script lang="ts">
  import {
    answer,
    api,
    describe,
    type Block,
    type Goal,
    type ScheduledBlock,
    type Variant,
    type Vocabulary,
  } from '../../lib/api/client'
  import { beneath } from '../../lib/fields/fields'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import GoalFields from '../../goal/GoalFields.svelte'
  import type { Planner } from './planner.svelte'

  interface Props {
    planner: Planner
    block: Block
    scheduled: ScheduledBlock
    names: Record<string, string>
    vocabulary: Vocabulary | undefined
    errors: Record<string, string>
    path: string
  }
  let { planner, block, scheduled, names, vocabulary, errors, path }: Props = $props()
  let busy = $state('')
  let wrong = $state('')

  const variantOf = (student: string): Variant =>
    block.variants?.find((v) => v.student === student) ?? { student }
  const set = (student: string, part: Partial<Variant>) => planner.vary(block.id, student, part)

  /** The measures of the drill as this student has them. */
  const measuresOf = (student: string) =>
    planner.plan.prospects
      .find((each) => each.block === block.id)
      ?.students.filter((each) => each.student === student) ?? []

  /** reach gives a student another goal in a measure. */
  function reach(student: string, measure: number, nth: number, goal: Goal) {
    const list = $state.snapshot(variantOf(student).goals) ?? []
    const goals = list.find((each) => each.measure === measure)?.goals ?? []
    const after = { measure, goals: nth < goals.length ? goals.with(nth, goal) : [...goals, goal] }
    return set(student, { goals: [...list.filter((each) => each.measure !== measure), after] })
  }

  async function propose(student: string) {
    busy = student
    wrong = ''
    try {
      await set(
        student,
        await answer(
          api.POST('/api/lessons/propose', {
            body: { document: planner.snapshot(), block: block.id, student },
          }),
        ),
      )
    } catch (error) {
      wrong = describe(error)
    }
    busy = ''
  }

  async function proposeAll() {
    for (const student of scheduled.people) await propose(student)
  }
</script>

<div class="flex flex-wrap items-center gap-3">
  <p class="text-sm">What is different for single players; everybody else plays the drill as it is.</p>
  <button class="btn btn-sm" onclick={proposeAll} disabled={busy !== ''}>Propose for everybody</button>
</div>
{#if wrong}<p class="text-error text-sm" role="alert">{wrong}</p>{/if}
<ul class="mt-2 flex flex-col gap-3">
  {#each scheduled.people as student (student)}
    {@const variant = variantOf(student)}
    {@const at = (block.variants ?? []).findIndex((v) => v.student === student)}
    <li class="border-base-300 rounded-box border p-3">
      <div class="flex flex-wrap items-center gap-2">
        <h3 class="font-semibold">{names[student]}</h3>
        {#if at < 0}<span class="hint text-sm">plays it as it is</span>{/if}
        <div class="ml-auto flex gap-2">
          <button class="btn btn-xs" disabled={busy !== ''} onclick={() => propose(student)}
            >Propose<span class="sr-only"> for {names[student]}</span></button
          >
          {#if at >= 0}<button
              class="btn btn-xs"
              onclick={() => void planner.edit({ kind: 'variant', block: block.id, variant: { student } })}
              >As it is<span class="sr-only"> for {names[student]}</span></button
            >{/if}
        </div>
      </div>
      {#if variant.why}<p class="mt-1 text-sm">{variant.why.words}</p>{/if}
      <div class="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
        {#if scheduled.versions.length}
          <SelectField
            label="Version"
            value={variant.version ?? ''}
            options={[{ value: '', label: 'as the others' }, ...scheduled.versions]}
            onchange={(version) => void set(student, { version: version || undefined })}
          />
        {/if}
        <NumberField
          label="Gap (0: as drawn)"
          unit="s"
          step={0.1}
          min={0}
          value={variant.gap ?? 0}
          error={errors[`${path}.variants.${at}.gap`]}
          onchange={(gap) => void set(student, { gap })}
        />
        <NumberField
          label="Target (0: as it is)"
          unit="×"
          step={0.1}
          min={0}
          value={variant.size ?? 0}
          error={errors[`${path}.variants.${at}.size`]}
          onchange={(size) => void set(student, { size })}
        />
        <SelectField
          label="Sides"
          value={variant.drawn ?? 'by the hand'}
          options={['by the hand', 'as drawn', 'mirrored']}
          onchange={(v) =>
            void set(student, { drawn: v === 'by the hand' ? undefined : (v as Variant['drawn']) })}
        />
      </div>
      {#each measuresOf(student) as measure (measure.measure)}
        {@const k = (variant.goals ?? []).findIndex((each) => each.measure === measure.measure)}
        {@const of = measure.called ? `, ${measure.called}` : ''}
        {#if k >= 0}
          <div class="mt-2">
            {#if measure.called}<p class="text-sm font-medium first-letter:uppercase">
                {measure.called}
              </p>{/if}
            {#each variant.goals?.[k]?.goals ?? [] as goal, g (g)}
              <GoalFields
                {goal}
                {vocabulary}
                errors={beneath(errors, `${path}.variants.${at}.goals.${k}.goals.${g}`, 'goal')}
                onchange={(after) => void reach(student, measure.measure, g, after)}
              />
            {/each}
          </div>
        {:else}
          <button
            class="btn btn-xs mt-2"
            onclick={() => void reach(student, measure.measure, 0, { kind: 'total', count: 10 })}
            >Another goal{of}<span class="sr-only"> for {names[student]}</span></button
          >
        {/if}
      {/each}
    </li>
  {/each}
</ul>
