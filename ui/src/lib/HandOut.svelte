<script lang="ts">
  import TextField from './TextField.svelte'

  interface Props {
    /** Of whom; empty: of all. */
    student?: string
    /** The day it is, year-month-day. */
    today: string
  }
  let { student = '', today }: Props = $props()
  const yearBefore = (day: string) =>
    `${Number(day.slice(0, 4)) - 1}${day.slice(4)}`.replace(/02-29$/, '02-28')
  let days = $state<{ from?: string; to?: string }>({})
  const from = $derived(days.from ?? yearBefore(today))
  const to = $derived(days.to ?? today)
  const query = $derived(new URLSearchParams({ from, to, ...(student ? { student } : {}) }).toString())
  const tables = ['students', 'attendance', 'results', 'counts'] as const
  const said = { students: 'Students', attendance: 'Attendance', results: 'Results', counts: 'Counts' }
</script>

<details class="no-print mt-4">
  <summary class="cursor-pointer">Hand out as spreadsheets</summary>
  <div class="days mt-2">
    <TextField label="From" type="date" value={from} onchange={(day) => (days = { ...days, from: day })} />
    <TextField label="To" type="date" value={to} onchange={(day) => (days = { ...days, to: day })} />
  </div>
  <ul class="mt-3 flex flex-wrap gap-2">
    <li>
      <a class="btn btn-sm btn-primary" href="/api/out/tables/hodometer.xlsx?{query}" download
        >All, one workbook (.xlsx)</a
      >
    </li>
    {#each tables as table (table)}
      <li>
        <a class="btn btn-sm" href="/api/out/tables/{table}.csv?{query}" download>{said[table]} (.csv)</a>
      </li>
    {/each}
  </ul>
  <p class="hint mt-2 text-sm">
    Notes and what hurts are private and in the students' table: look before you pass it on.
  </p>
</details>

<style>
  .days {
    display: grid;
    grid-template-columns: repeat(2, minmax(9rem, 13rem));
    gap: 0.75rem;
  }
</style>
