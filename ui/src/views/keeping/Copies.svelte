<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, type SafeCopies } from '../../lib/api/client'
  import { keys } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import { many, moment, size } from '../../lib/words/words'

  interface Props {
    kept: SafeCopies
  }
  let { kept }: Props = $props()
  const client = useQueryClient()
  const newest = $derived(kept.copies[0])
  const few = 6
  let all = $state(false)
  let busy = $state(false)
  let chosen = $state<SafeCopies['copies'][number]>()
  let dialog = $state<HTMLDialogElement>()

  async function work(doing: () => Promise<void>) {
    busy = true
    try {
      await doing()
    } catch (error) {
      notices.wrong(error)
    } finally {
      busy = false
    }
  }

  const copy = () =>
    work(async () => {
      try {
        client.setQueryData(keys.keeping, await answer(api.POST('/api/keeping/copies')))
        notices.done('A safe copy is made, and was looked at.')
      } finally {
        await client.invalidateQueries({ queryKey: keys.keeping })
      }
    })

  function ask(one: SafeCopies['copies'][number]) {
    chosen = one
    dialog?.showModal()
  }

  const restore = () =>
    work(async () => {
      if (!chosen) return
      const done = await answer(api.POST('/api/keeping/restore', { body: { name: chosen.name } }))
      const said = `Restored: ${many(done.students, 'student')}, ${many(done.lessons, 'lesson')}. What was there before is a copy, too.`
      // Nothing that was read before goes any more.
      await client.resetQueries()
      notices.done(said)
    })
</script>

<section class="sheet" aria-labelledby="copies">
  <h2 id="copies">Safe copies</h2>
  {#if kept.wrong}
    <p class="alert alert-error mt-2" role="alert">The last copy could not be made: {kept.wrong}</p>
  {/if}
  <p class="mt-2">
    {#if newest}
      The last good copy is of <strong>{moment(newest.at)}</strong>.
    {:else}
      There is no copy yet.
    {/if}
    {kept.daily
      ? 'One is made every day while Hodometer runs, and before a restore, an import and an update.'
      : 'This is a demo: copies are made only when you say so.'}
  </p>
  <p class="mt-2"><button class="btn btn-primary" disabled={busy} onclick={copy}>Make a copy now</button></p>
  {#if kept.copies.length}
    <ul class="divide-base-300 mt-3 divide-y">
      {#each all ? kept.copies : kept.copies.slice(0, few) as one (one.name)}
        <li class="flex flex-wrap items-center gap-x-3 py-1">
          <span class="tabular-nums">{moment(one.at)}</span>
          <span class="hint text-sm"
            >{one.why}, {size(one.bytes)}{one.host === kept.host ? '' : `, by ${one.host}`}</span
          >
          <button class="btn btn-sm ml-auto" disabled={busy} onclick={() => ask(one)}
            >Restore…<span class="sr-only">{` the copy of ${moment(one.at)}, ${one.why}`}</span></button
          >
        </li>
      {/each}
    </ul>
    {#if kept.copies.length > few && !all}
      <button class="btn btn-sm mt-2" onclick={() => (all = true)}>Show all {kept.copies.length}</button>
    {/if}
  {/if}
  <p class="hint mt-2 text-sm">
    Kept are this machine’s newest of each of the last 7 days, 4 weeks and 12 months. A copy on this disk goes
    with this disk: choose a folder elsewhere, or take one along from time to time.
  </p>
</section>

<dialog bind:this={dialog} class="modal" aria-labelledby="restore-title">
  <div class="modal-box">
    <h2 id="restore-title">Restore the copy of {chosen ? moment(chosen.at) : ''}?</h2>
    <p class="mt-2">
      Everything is then as it was at that time. What is there now is kept as a copy first, so that it can be
      had back in the same way.
    </p>
    <form method="dialog" class="modal-action">
      <button class="btn">Leave it</button>
      <button class="btn btn-primary" onclick={restore}>Restore it</button>
    </form>
  </div>
</dialog>
