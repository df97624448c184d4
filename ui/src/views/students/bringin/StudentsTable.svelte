<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
  import { SvelteSet } from 'svelte/reactivity'
  import { answer, api, describe, type StudentsRead, type TableField } from '../../../lib/api/client'
  import { keys, vocabularyQuery } from '../../../lib/page/data'
  import SelectField from '../../../lib/fields/SelectField.svelte'
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
  type Row = StudentsRead['rows'][number]

  const query = createQuery(() => ({
    queryKey: [...keys.looks('students'), arrival.students],
    queryFn: () => answer(api.POST('/api/arrivals/students/look', { body: arrival.students })),
    placeholderData: keepPreviousData,
    staleTime: 0,
  }))
  const reading = $derived(query.data)
  const words = vocabularyQuery()
  const fields = $derived<TableField[]>(words.data?.tableFields ?? [])

  /** Rows with something to decide come first, and stay there once it is decided. */
  const troubled = new SvelteSet<number>()
  $effect(() => {
    for (const row of reading?.rows ?? []) if (row.wrong.length || row.double) troubled.add(row.row)
  })
  const some = 40
  let all = $state(false)
  const rows = $derived.by(() => {
    const list = reading?.rows ?? []
    return [...list.filter((row) => troubled.has(row.row)), ...list.filter((row) => !troubled.has(row.row))]
  })
  const shown = $derived(all ? rows : rows.slice(0, some))
  const cell = (row: Row, column: number) => arrival.table?.rows[row.row - 1]?.[column] ?? ''
  const wrongIn = (row: Row, column: number) =>
    row.do === 'leave out' ? undefined : row.wrong.find((each) => each.column === column)?.message

  const coming = $derived.by(() => {
    if (!reading) return ''
    const parts = [
      reading.add && `${reading.add} ${reading.add === 1 ? 'student is' : 'students are'} new`,
      reading.change && `${reading.change} ${reading.change === 1 ? 'is' : 'are'} changed`,
    ].filter(Boolean)
    const left = reading.rows.filter((row) => row.do === 'leave out').length
    return parts.length ? `${parts.join(', ')}${left ? `, ${left} left out` : ''}.` : ''
  })
  const inTheWay = $derived(
    reading?.wrong
      ? `${reading.wrong} ${reading.wrong === 1 ? 'row needs' : 'rows need'} putting right.`
      : '',
  )

  function set(column: number, field: TableField) {
    if (!reading) return
    const columns = reading.columns.map((each) => each.field)
    // One column is one thing: whatever was it before is no longer.
    for (const [i, each] of columns.entries()) if (each === field) columns[i] = 'not used'
    columns[column] = field
    arrival.choose({ columns })
  }
  const birthdays = $derived(reading?.columns.some((each) => each.field === 'birthday') ?? false)
  const name = (row: Row) => row.profile.name || `row ${row.row}`
</script>

{#if query.error}<p class="text-error mt-2" role="alert">{describe(query.error)}</p>{/if}
{#if reading}
  <Coming
    as={arrival.table?.as ?? ''}
    what={coming}
    wrong={inTheWay}
    {refusal}
    {busy}
    {onbringin}
    onleave={() => arrival.leave()}
  >
    <div class="choices mt-3">
      <SelectField
        label="The first row is"
        value={reading.first}
        options={['headings', 'a student']}
        onchange={(first) => arrival.choose({ first, columns: undefined })}
      />
      <SelectField
        label="Sport, where the table does not say it"
        value={arrival.choices.sport ?? 'tennis'}
        options={words.data?.sports.map((each) => each.sport) ?? ['tennis']}
        onchange={(sport) => arrival.choose({ sport })}
      />
      {#if birthdays}
        <OrderOfDays example="4/5/2016" {reading} onchange={(dates) => arrival.choose({ dates })} />
        <label class="flex items-center gap-2 self-center">
          <input
            type="checkbox"
            class="checkbox"
            checked={arrival.choices.keepBirthdays ?? false}
            onchange={(event) => arrival.choose({ keepBirthdays: event.currentTarget.checked })}
          />
          <span
            >Keep the birthdays themselves<br /><span class="hint text-sm">else only the age band</span></span
          >
        </label>
      {/if}
    </div>

    <div class="scroll mt-3">
      <table class="table table-sm">
        <caption class="sr-only">What was read, row by row</caption>
        <thead>
          <tr>
            <th scope="col">Row</th>
            <th scope="col">What becomes of it</th>
            {#each reading.columns as column, i (i)}
              <th scope="col">
                <span class="title">{column.title || `Column ${i + 1}`}</span>
                <select
                  class="select select-sm"
                  aria-label="What {column.title || `column ${i + 1}`} is"
                  value={column.field}
                  onchange={(event) => set(i, event.currentTarget.value as TableField)}
                >
                  {#each fields as field (field)}<option value={field}>{field}</option>{/each}
                </select>
              </th>
            {/each}
            <th scope="col">Comes in as</th>
          </tr>
        </thead>
        <tbody>
          {#each shown as row (row.row)}
            <tr class:out={row.do === 'leave out'}>
              <th scope="row">{row.row}</th>
              <td>
                <select
                  class="select select-sm"
                  aria-label="What becomes of {name(row)}"
                  value={row.do}
                  onchange={(event) => arrival.decide(row.row, event.currentTarget.value as Row['do'])}
                >
                  <option value="add">{row.double ? 'add all the same' : 'new'}</option>
                  {#if row.double?.student}<option value="change">change who is here</option>{/if}
                  <option value="leave out">leave out</option>
                </select>
                {#if row.double}
                  <p class="hint wrong">
                    {row.double.student
                      ? `${row.double.name} is here already${row.double.archived ? ', archived' : ''}.`
                      : `The same name as row ${row.double.row}.`}
                  </p>
                {/if}
              </td>
              {#each reading.columns as column, i (i)}
                {@const wrong = wrongIn(row, i)}
                <td>
                  {#if column.field === 'not used'}
                    <span class="hint">{cell(row, i)}</span>
                  {:else}
                    <input
                      class="input input-sm"
                      class:input-error={wrong}
                      aria-label="{column.field}, row {row.row}"
                      aria-invalid={Boolean(wrong)}
                      aria-describedby={wrong ? `wrong-${row.row}-${i}` : undefined}
                      value={cell(row, i)}
                      onchange={(event) => arrival.mend(row.row - 1, i, event.currentTarget.value)}
                    />
                    {#if wrong}<p id="wrong-{row.row}-{i}" class="text-error wrong">{wrong}</p>{/if}
                  {/if}
                </td>
              {/each}
              <td class="as">
                {row.profile.name}
                <span class="hint"
                  >{row.profile.age}{row.profile.born ? `, ${row.profile.born}` : ''}, {row.profile
                    .hand}-handed, {row.profile.level}</span
                >
                {#if wrongIn(row, -1)}<p class="text-error wrong">{wrongIn(row, -1)}</p>{/if}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    {#if rows.length > shown.length}
      <button class="btn btn-sm mt-2" onclick={() => (all = true)}>Show all {rows.length} rows</button>
    {/if}
  </Coming>
{:else if !query.error}
  <p role="status">Reading…</p>
{/if}

<style>
  .choices {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
    gap: 0.75rem 1.25rem;
    align-items: start;
  }
  .scroll {
    overflow-x: auto;
  }
  .title {
    display: block;
    max-width: 11rem;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  th,
  td {
    padding-inline: 0.4rem;
    vertical-align: top;
  }
  td .input,
  th .select {
    min-width: 7.5rem;
  }
  td .select {
    min-width: 9rem;
  }
  .as {
    min-width: 11rem;
  }
  .as .hint {
    display: block;
    font-size: 0.8125rem;
  }
  .wrong {
    max-width: 14rem;
    font-size: 0.8125rem;
    margin-top: 0.2rem;
  }
  .out .as {
    text-decoration: line-through;
  }
</style>
