<script lang="ts">
  import { answer, api, describe, over, type Courtside, type ScheduledBlock } from '../../lib/api/client'

  /** The rungs of the drill that is on: one press makes it easier or harder for all, in the minutes that there are. */
  interface Props {
    data: Courtside
    scheduled: ScheduledBlock
    /** The lesson was changed. */
    ondone: () => Promise<void>
  }
  let { data, scheduled, ondone }: Props = $props()
  let busy = $state(false)
  let wrong = $state('')
  const at = $derived(scheduled.versions.indexOf(scheduled.version ?? 'as written'))

  async function play(text: string | undefined) {
    if (!text) return
    busy = true
    wrong = ''
    try {
      const { document, id, revision } = data.lesson
      const edit = { kind: 'version' as const, block: scheduled.block, text, on: true }
      const changed = await answer(api.POST('/api/lessons/edit', { body: { document, edit } }))
      const params = { path: { id }, header: over(revision) }
      await answer(api.PUT('/api/lessons/{id}', { params, body: changed.document }))
      await ondone()
    } catch (error) {
      wrong = describe(error)
    }
    busy = false
  }
</script>

<div class="rungs" role="group" aria-label="Version of the drill">
  <button disabled={busy || at <= 0} onclick={() => void play(scheduled.versions[at - 1])}>Easier</button>
  <span class="sr-only" aria-live="polite">{scheduled.version ?? 'as written'}</span>
  <button
    disabled={busy || at >= scheduled.versions.length - 1}
    onclick={() => void play(scheduled.versions[at + 1])}>Harder</button
  >
</div>
{#if wrong}<p role="alert">{wrong}</p>{/if}

<style>
  /* At both sides of the minutes, each under one thumb. */
  .rungs {
    position: absolute;
    inset: 0 0.5rem;
    align-items: center;
    display: flex;
    justify-content: space-between;
    pointer-events: none;
  }
  button {
    min-width: 64px;
    min-height: 64px;
    border: 1px solid color-mix(in oklab, var(--on-drum) 60%, transparent);
    border-radius: var(--radius-field);
    font-weight: 600;
    pointer-events: auto;
    cursor: pointer;
  }
  button:disabled {
    opacity: 0.45;
  }
</style>
