<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import { courtsQuery, keys, students as allStudents } from '../../lib/page/data'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import { lasting } from '../../lib/words/words'
  import FaultFields from './FaultFields.svelte'
  import type { Planner } from './planner.svelte'
  import StudentPicker from '../../lib/fields/StudentPicker.svelte'

  interface Props {
    planner: Planner
    onfaults: () => void
  }
  let { planner, onfaults }: Props = $props()
  const people = createQuery(() => ({
    queryKey: [...keys.students, { withArchived: true }],
    queryFn: () => allStudents(true),
  }))
  const booked = $derived(planner.document.students)
  /** Archived students stay where they are chosen. */
  const choosable = $derived((people.data ?? []).filter((s) => !s.archived || booked.includes(s.id)))
  const sports = $derived(
    new Set((people.data ?? []).filter((s) => booked.includes(s.id)).map((s) => s.profile.sport)),
  )
  const space = $derived(planner.document.space)
  const courts = courtsQuery()
  /** The courts of the sports that are played. */
  const choosableCourts = $derived((courts.data ?? []).filter((court) => sports.has(court.sport)))

  /** What is to be spared and watched of a student, by the name. */
  function sparing(id: string): string[] {
    const student = people.data?.find((each) => each.id === id)
    if (!student) return []
    const { profile } = student
    const faults = profile.watch ?? []
    return [
      student.hurts ? `Hurts: ${student.hurts}. Pain means stop.` : '',
      student.rests ? `Rests ${student.rests}.` : '',
      profile.limit ? `At most ${profile.limit.max} ${profile.limit.of} in a lesson.` : '',
      faults.length ? `Watch: ${faults.join('; ')}.` : '',
    ].filter(Boolean)
  }

  /** Who is there: those of the last block that is still to come. */
  const present = $derived.by(() => {
    const last = planner.document.blocks.at(-1)?.people
    return last?.length ? last : booked
  })
  const toggle = (id: string, here: boolean) =>
    void planner.edit((lesson) => {
      const last = lesson.blocks.at(-1)?.people
      const before = last?.length ? last : lesson.students
      const now = lesson.students.filter((s) => (s === id ? here : before.includes(s)))
      return { kind: 'attendance', attendance: { present: now, space: lesson.space } }
    })
</script>

<section class="sheet" aria-labelledby="group">
  <h2 id="group">Who comes</h2>
  {#if people.isPending}
    <p role="status">Loading…</p>
  {:else}
    <div class="mt-2 overflow-x-auto">
      <table class="table-sm tight table">
        <thead>
          <tr>
            <th scope="col">Here</th>
            <th scope="col">Player</th>
            <th scope="col" class="text-right">Strokes</th>
            <th scope="col" class="text-right">Overhead</th>
            <th scope="col" class="text-right">Runs</th>
            <th scope="col" class="text-right">Plays</th>
            <th scope="col" class="text-right">Waits</th>
          </tr>
        </thead>
        <tbody>
          {#each planner.plan.budgets as budget (budget.student)}
            <tr>
              <td>
                <input
                  type="checkbox"
                  class="checkbox checkbox-sm"
                  aria-label="{budget.name} is here"
                  checked={present.includes(budget.student)}
                  disabled={present.length === 1 && present.includes(budget.student)}
                  onchange={(event) => toggle(budget.student, event.currentTarget.checked)}
                />
              </td>
              <th scope="row" class="font-medium">
                {budget.name}
              </th>
              <td class="text-right tabular-nums" data-figure="{planner.id} {budget.name} strokes"
                >{budget.balls}</td
              >
              <td class="text-right tabular-nums">{budget.overheads}</td>
              <td
                class="text-right whitespace-nowrap tabular-nums"
                data-figure="{planner.id} {budget.name} runs">{budget.ran}</td
              >
              <td class="text-right whitespace-nowrap tabular-nums">{lasting(budget.playing)} min</td>
              <td class="text-right whitespace-nowrap tabular-nums">{lasting(budget.waiting)} min</td>
            </tr>
            {#if sparing(budget.student).length}
              <tr class="spared">
                <td></td>
                <td colspan="6"
                  ><span class="sr-only">{budget.name}: </span>{sparing(budget.student).join(' ')}</td
                >
              </tr>
            {/if}
          {/each}
        </tbody>
      </table>
    </div>
    <div class="mt-3 grid grid-cols-2 items-end gap-3 sm:grid-cols-3">
      <SelectField
        label="On the court"
        value={space.court ?? ''}
        options={[
          { value: '', label: 'each drill on its own' },
          ...choosableCourts.map((court) => ({ value: court.id, label: court.name })),
        ]}
        onchange={(court) => void planner.space({ court: court || undefined })}
      />
      <NumberField
        label="Courts"
        min={1}
        value={space.courts ?? 1}
        error={planner.draft.fields['space.courts']}
        onchange={(courts) => void planner.space({ courts })}
      />
      <label class="flex items-center gap-2 pb-2">
        <input
          type="checkbox"
          class="checkbox checkbox-sm"
          checked={space.half ?? false}
          onchange={(event) => void planner.space({ half: event.currentTarget.checked })}
        />
        Only half a court
      </label>
    </div>
    <details class="mt-3">
      <summary class="cursor-pointer py-1 text-sm font-semibold">Faults to watch</summary>
      <div class="mt-2 flex flex-col gap-3">
        {#each (people.data ?? []).filter((s) => booked.includes(s.id)) as student (student.id)}
          <FaultFields
            {student}
            short={planner.plan.budgets.find((b) => b.student === student.id)?.short ?? student.profile.name}
            onkept={onfaults}
          />
        {/each}
      </div>
    </details>
    <details class="mt-3" open={booked.length === 0}>
      <summary class="cursor-pointer py-1 text-sm font-semibold">Change the booking of players</summary>
      <div class="mt-2">
        <StudentPicker
          students={choosable}
          chosen={booked}
          error={planner.draft.fields.students}
          onchange={(v) => planner.draft.change((d) => (d.students = v))}
        />
      </div>
    </details>
    {#if sports.size > 1}<p class="hint mt-1 text-sm">
        They play different sports: {[...sports].join(', ')}.
      </p>{/if}
  {/if}
</section>

<style>
  .spared td {
    padding-top: 0;
    white-space: normal;
  }
  .tight tr:has(+ .spared) {
    border-bottom: 0;
  }
  .tight :is(th, td) {
    padding-inline: 0.4rem;
  }
</style>
