<script lang="ts">
  import { back } from '../words/days'
  import SpanFields from '../fields/SpanFields.svelte'

  interface Props {
    /** Of whom; empty: of all. */
    student?: string
    /** The day it is, year-month-day. */
    today: string
  }
  let { student = '', today }: Props = $props()
  let days = $state<{ from?: string; to?: string }>({})
  const from = $derived(days.from ?? back(today, 12))
  const to = $derived(days.to ?? today)
  const query = $derived(new URLSearchParams({ from, to, ...(student ? { student } : {}) }).toString())
  const tables = ['students', 'attendance', 'results', 'counts'] as const
  const said = { students: 'Students', attendance: 'Attendance', results: 'Results', counts: 'Counts' }
</script>

<details class="no-print mt-4">
  <summary class="cursor-pointer">Hand out as spreadsheets</summary>
  <SpanFields {from} {to} onchange={(changed) => (days = { ...days, ...changed })} />
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
  {#if student}
    <p class="mt-2">
      <a class="btn btn-sm" href="/api/out/students/{student}/everything.zip" download
        >All that is held about them (.zip)</a
      >
      <a class="btn btn-sm" href="/api/out/ladder/{student}.json" download
        >Their ladders, for another coach (.json)</a
      >
    </p>
  {/if}
  <p class="hint mt-2 text-sm">
    Notes and what hurts are private and in the students' table: look before you pass it on.
  </p>
</details>
