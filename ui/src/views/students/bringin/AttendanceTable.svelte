<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
  import { answer, api, describe, Refusal } from '../../../lib/api/client'
  import { keys, studentsQuery } from '../../../lib/page/data'
  import SelectField from '../../../lib/fields/SelectField.svelte'
  import TextField from '../../../lib/fields/TextField.svelte'
  import type { BringIn } from './bringin.svelte'
  import Coming from './Coming.svelte'
  import OrderOfDays from './OrderOfDays.svelte'

  interface Props {
    arrival: BringIn
    busy: boolean
    refusal: string
    onbringin: () => void
  }
  let { arrival, busy, refusal, onbringin }: Props = $props()

  const query = createQuery(() => ({
    queryKey: [...keys.looks('attendance'), arrival.attendance],
    queryFn: () => answer(api.POST('/api/arrivals/attendance/look', { body: arrival.attendance })),
    placeholderData: keepPreviousData,
    staleTime: 0,
    retry: false,
  }))
  const people = studentsQuery()
  const reading = $derived(query.data)
  const some = 30

  const who = $derived([
    { value: '?', label: 'say who that is' },
    { value: '', label: 'leave out' },
    ...(people.data ?? []).map((each) => ({ value: each.id, label: each.profile.name })),
  ])
  /** Names that nobody here has; those of which it was said who they are stay in sight. */
  const names = $derived([
    ...new Set([...arrival.people.map((each) => each.name), ...(reading?.strangers ?? [])]),
  ])
  const chosen = (name: string) => {
    const found = arrival.people.find((each) => each.name === name)
    return found ? (found.student ?? '') : '?'
  }
  const coming = $derived(
    reading?.presences.length
      ? `${reading.presences.length} entries of ${reading.students} ${reading.students === 1 ? 'student' : 'students'} on ${reading.days} ${reading.days === 1 ? 'day' : 'days'}${reading.before ? `, ${reading.before} are known already` : ''}.`
      : reading?.before
        ? 'All of it is known already.'
        : '',
  )
  const inTheWay = $derived.by(() => {
    const parts = [
      reading?.wrong.length &&
        `${reading.wrong.length} ${reading.wrong.length === 1 ? 'cell needs' : 'cells need'} putting right.`,
      reading?.strangers.length &&
        `${reading.strangers.length} ${reading.strangers.length === 1 ? 'name is' : 'names are'} of nobody here.`,
    ]
    return parts.filter(Boolean).join(' ')
  })
  const unreadable = $derived(
    query.error instanceof Refusal
      ? query.error.problem.fields[0]?.message
      : query.error && describe(query.error),
  )
  const title = (column: number) => arrival.table?.rows[0]?.[column] ?? `column ${column + 1}`
  const rowOf = (row: number) => arrival.table?.rows[row - 1]?.[0] ?? ''
</script>

{#if unreadable}
  <p class="text-error mt-3" role="alert">{unreadable}.</p>
  <button class="btn mt-2" onclick={() => arrival.leave()}>Another table</button>
{:else if reading}
  <Coming
    as="{arrival.table?.as}, {reading.layout}"
    what={reading.presences.length ? coming : ''}
    wrong={inTheWay}
    {refusal}
    {busy}
    {onbringin}
    onleave={() => arrival.leave()}
  >
    {#if !reading.presences.length && coming}<p class="mt-2">{coming}</p>{/if}
    <div class="choices mt-3">
      <OrderOfDays example="4/5/2026" {reading} onchange={(dates) => arrival.choose({ dates })} />
    </div>
    {#if reading.layout === 'a column for each day'}
      <p class="hint mt-2">
        A cell with nothing in it: {reading.blank ? 'was not there.' : 'not known, and left out.'}
      </p>
    {/if}
    {#if reading.taken.length}
      <p class="mt-2" role="status">
        Kept is only who came. {#each reading.taken as word, i (word.word)}{i ? ', ' : ''}“{word.word}” ({word.times})
          stands for {word.came ? 'came' : 'was not there'}{/each}.
      </p>
    {/if}
    {#if names.length}
      <section class="mt-3" aria-labelledby="strangers">
        <h2 id="strangers">Names that are not on your list</h2>
        <div class="choices mt-2">
          {#each names as name (name)}
            <SelectField
              label={name}
              value={chosen(name)}
              options={who}
              error={chosen(name) === '?' ? 'say who that is, or leave them out' : undefined}
              onchange={(student) => student !== '?' && arrival.name(name, student)}
            />
          {/each}
        </div>
      </section>
    {/if}
    {#if reading.wrong.length}
      <section class="mt-3" aria-labelledby="flaws">
        <h2 id="flaws">To be put right</h2>
        <div class="choices mt-2">
          {#each reading.wrong.slice(0, some) as flaw (`${flaw.row} ${flaw.column}`)}
            <TextField
              label="Row {flaw.row}, {rowOf(flaw.row)}: {title(flaw.column)}"
              value={arrival.table?.rows[flaw.row - 1]?.[flaw.column] ?? ''}
              error={flaw.message}
              onchange={(text) => arrival.mend(flaw.row - 1, flaw.column, text)}
            />
          {/each}
        </div>
        {#if reading.wrong.length > some}<p class="mt-2">And {reading.wrong.length - some} more.</p>{/if}
      </section>
    {/if}
  </Coming>
{:else}
  <p role="status">Reading…</p>
{/if}

<style>
  .choices {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
    gap: 0.75rem 1.25rem;
    align-items: start;
  }
</style>
