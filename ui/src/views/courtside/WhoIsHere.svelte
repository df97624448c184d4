<script lang="ts">
  import { onMount } from 'svelte'
  import { describe } from '../../lib/api/client'
  import { onDevice } from '../../lib/page/kept'
  import { students as allStudents } from '../../lib/page/data'
  import type { Run } from './courtside.svelte'

  /** Plans the rest of a running lesson for those who are there now; what was played stays. */
  interface Props {
    run: Run
  }
  let { run }: Props = $props()
  const data = $derived(run.data)
  let dialog = $state<HTMLDialogElement>()
  let here = $state<string[]>([])
  let half = $state(false)
  let sentences = $state.raw<string[]>([])
  let all = $state.raw<{ id: string; name: string }[]>([])
  const document = $derived(data.lesson.document)
  const others = $derived(all.filter((s) => !document.students.includes(s.id)))
  const booked = $derived(data.lesson.people.map(({ id, name }) => ({ id, name })))

  const planned = $derived.by(() => {
    const last = document.blocks.at(-1)?.people
    return { here: last?.length ? [...last] : [...document.students], half: document.space.half ?? false }
  })
  /** What was ticked and not planned yet; it stays, also when the dialog is closed or the page is read again. */
  // svelte-ignore state_referenced_locally
  const key = `hodometer.here.${run.data.lesson.id}`
  let ticked = $state(false)

  type Ticked = typeof planned

  onMount(() => {
    const left = onDevice.read<Ticked | null>(key, null)
    if (!left) return
    ;({ here, half } = left)
    ticked = true
  })

  function tick() {
    ticked = true
    onDevice.write(key, { here, half })
  }

  function forget() {
    ticked = false
    onDevice.remove(key)
    ;({ here, half } = planned)
  }

  async function open() {
    if (!ticked) ({ here, half } = planned)
    sentences = []
    dialog?.showModal()
    try {
      all = (await allStudents(false)).map((s) => ({ id: s.id, name: s.profile.name }))
    } catch {
      all = [] // those who are booked can still be ticked
    }
  }

  async function plan(event: SubmitEvent) {
    event.preventDefault()
    try {
      await run.change({
        kind: 'attendance',
        attendance: {
          present: $state.snapshot(here),
          second: data.clock ? run.second : 0,
          space: { ...document.space, half },
        },
      })
      forget()
      sentences = run.said?.sentences ?? []
      if (!sentences.length) dialog?.close()
    } catch (error) {
      sentences = [describe(error)]
    }
  }
</script>

<button class="btn btn-ghost min-h-11 px-2" class:text-error={ticked} onclick={open}
  >Who is here{ticked ? ': not planned' : ''}</button
>
<dialog bind:this={dialog} class="modal" aria-labelledby="here-title">
  <div class="modal-box">
    <h2 id="here-title">Who is here from now on</h2>
    <form onsubmit={plan} onchange={tick} novalidate>
      <div class="mt-2 flex flex-col gap-1">
        {#each [...booked, ...others.filter((o) => here.includes(o.id))] as student (student.id)}
          <label class="flex min-h-11 items-center gap-3 text-lg">
            <input type="checkbox" class="checkbox" value={student.id} bind:group={here} />
            {student.name}
          </label>
        {/each}
        {#if others.length}
          <select
            class="select w-full"
            aria-label="Somebody else came"
            value=""
            onchange={(event) => {
              here.push(event.currentTarget.value)
              event.currentTarget.value = ''
              tick()
            }}
          >
            <option value="">somebody else came…</option>
            {#each others.filter((o) => !here.includes(o.id)) as other (other.id)}
              <option value={other.id}>{other.name}</option>
            {/each}
          </select>
        {/if}
        <label class="mt-2 flex min-h-11 items-center gap-3">
          <input type="checkbox" class="checkbox" bind:checked={half} /> Only half a court
        </label>
      </div>
      <p class="hint mt-2 text-sm">
        What was played stays as it was; the rest is fitted to the time that is left.
      </p>
      {#if sentences.length}
        <ul class="mt-2 text-sm" role="status">
          {#each sentences as sentence, i (i)}<li>{sentence}</li>{/each}
        </ul>
      {/if}
      <div class="modal-action">
        <button class="btn btn-primary" type="submit" disabled={here.length === 0}>Plan the rest</button>
        {#if ticked}<button class="btn" type="button" onclick={forget}>As it was</button>{/if}
        <button class="btn" type="button" onclick={() => dialog?.close()}>Close</button>
      </div>
    </form>
  </div>
</dialog>
