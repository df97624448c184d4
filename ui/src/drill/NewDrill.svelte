<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import Court from '../court/Court.svelte'
  import type { Drawing } from '../court/view'
  import { answer, api, isNew, Refusal, type Drill, type Point } from '../lib/api/client'
  import { courtsQuery, keys, renew } from '../lib/page/data'
  import { notices } from '../lib/parts/notice.svelte'
  import SelectField from '../lib/fields/SelectField.svelte'

  /** A drill from nothing: a court, and a press where the first ball lands. */
  interface Props {
    /** The sport whose courts come first; empty for any. */
    sport: string
    primary?: boolean
    /** What is to be done with the drill that was begun. */
    onmade: (drill: Drill) => Promise<unknown>
  }
  let { sport, primary = false, onmade }: Props = $props()
  const client = useQueryClient()
  const courts = courtsQuery()
  let dialog = $state<HTMLDialogElement>()
  let open = $state(false)
  let chosen = $state('')
  let wrong = $state('')
  const court = $derived(
    courts.data?.find((each) => each.id === chosen) ??
      courts.data?.find((each) => !sport || each.sport === sport) ??
      courts.data?.[0],
  )
  const drawing = $derived<Drawing | undefined>(
    court && { court, spots: [], feeds: [], noGo: [], noGoLines: [], measures: [] },
  )

  function show() {
    wrong = ''
    open = true
    dialog?.showModal()
  }

  async function begin(at: Point) {
    if (!court) return
    try {
      const body = await answer(api.POST('/api/drills/begin', { body: { court: court.id, at } }))
      const drill = await answer(
        api.PUT('/api/drills/{id}', { params: { path: { id: v7() }, header: isNew }, body }),
      )
      dialog?.close()
      await renew(client, keys.drills)
      await onmade(drill)
    } catch (error) {
      if (error instanceof Refusal) wrong = Object.values(error.fields)[0] ?? error.message
      else notices.wrong(error)
    }
  }

  /** By key the first ball lands where most begin, and is moved from there. */
  const usual = $derived<Point>({ x: (court?.singles ?? 0) / 6, y: -0.35 * (court?.length ?? 0) })
</script>

<button class="btn btn-sm" class:btn-primary={primary} type="button" onclick={show}>New drill</button>
<dialog bind:this={dialog} class="modal" aria-labelledby="new-title" onclose={() => (open = false)}>
  <div class="modal-box">
    <h2 id="new-title">New drill</h2>
    <div class="mt-2">
      <SelectField
        label="Court"
        value={court?.id ?? ''}
        options={(courts.data ?? []).map((each) => ({ value: each.id, label: each.name }))}
        onchange={(id) => (chosen = id)}
      />
    </div>
    <p class="mt-2">Press where the first ball shall land.</p>
    {#if wrong}<p class="text-error" role="alert">{wrong}</p>{/if}
    {#if open && drawing}
      <div class="drawn mt-2"><Court report={drawing} label="{court?.name}: press it" onpoint={begin} /></div>
    {/if}
    <div class="modal-action">
      <button class="btn" onclick={() => void begin(usual)}>Begin with a usual ball</button>
      <form method="dialog"><button class="btn">Leave it</button></form>
    </div>
  </div>
</dialog>

<style>
  .drawn :global(svg) {
    width: min(100%, (100dvh - 20rem) * var(--shape));
    min-width: 0;
    max-width: none;
    margin-inline: auto;
    cursor: crosshair;
  }
</style>
