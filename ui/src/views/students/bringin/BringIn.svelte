<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { describe } from '../../../lib/api/client'
  import { keys, renew } from '../../../lib/page/data'
  import { notices } from '../../../lib/parts/notice.svelte'
  import TakeFile from '../../../lib/fields/TakeFile.svelte'
  import Tabs from '../../../lib/parts/Tabs.svelte'
  import AttendanceTable from './AttendanceTable.svelte'
  import { BringIn, inWords, type About } from './bringin.svelte'
  import StudentsTable from './StudentsTable.svelte'
  import { takeBack } from './takeback'

  const client = useQueryClient()
  const arrival = new BringIn()
  $effect(() => arrival.keep())
  let refusal = $state('')
  let busy = $state(false)

  async function bringIn() {
    refusal = ''
    busy = true
    try {
      const came = await arrival.bringIn()
      arrival.leave()
      arrival.keep()
      await renew(client, keys.students, keys.arrivals)
      await push('/students')
      notices.done(`${inWords(came)}.`, { label: 'Undo', run: () => takeBack(client, came.id) })
    } catch (error) {
      refusal = describe(error)
    } finally {
      busy = false
    }
  }
</script>

<a class="link link-hover text-sm" href="#/students">Students</a>
<h1>Bring in from a spreadsheet</h1>
<Tabs
  label="What the table says"
  tabs={[
    { id: 'students', label: 'Who your students are' },
    { id: 'attendance', label: 'Who was there' },
  ]}
  current={arrival.about}
  onchange={(about: About) => (arrival.about = about)}
/>

{#if !arrival.table}
  {#if arrival.about === 'students'}
    <p class="mt-3 max-w-3xl">
      A row for each student, with a name; all else is taken as far as it is there: birthday or age, racket
      hand, backhand, sport, level, what they work towards, notes. Nothing comes in before you have looked at
      it.
    </p>
  {:else}
    <p class="mt-3 max-w-3xl">
      A row for each student and a column for each day, with an x where they came; or a row for each time,
      with columns headed Name, Date, Came. Lessons that were given with Hodometer are known already.
    </p>
  {/if}
  <TakeFile
    label="A file: .csv, .xlsx, or text"
    accept=".csv,.tsv,.txt,.xlsx,.xlsm,text/csv,text/plain"
    paste="Or cells, copied in a spreadsheet and pasted here"
    act="Read these cells"
    read={(file) => arrival.read(file)}
  />
{:else if arrival.about === 'students'}
  <StudentsTable {arrival} {busy} {refusal} onbringin={bringIn} />
{:else}
  <AttendanceTable {arrival} {busy} {refusal} onbringin={bringIn} />
{/if}
