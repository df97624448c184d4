<script lang="ts">
  import type { Run } from './courtside.svelte'

  /** The rungs of the drill that is on: one press makes it easier or harder for all, in the minutes that there are. */
  interface Props {
    run: Run
  }
  let { run }: Props = $props()
  let busy = $state(false)
  const names = $derived(run.versions.names)
  const at = $derived(run.versions.at)

  async function play(text: string | undefined) {
    if (!text) return
    busy = true
    await run.version(text)
    busy = false
  }
</script>

<div class="rungs" role="group" aria-label="Version of the drill">
  <button disabled={busy || at <= 0} onclick={() => void play(names[at - 1])}>Easier</button>
  <span class="sr-only" aria-live="polite">{names[at]}</span>
  <button disabled={busy || at >= names.length - 1} onclick={() => void play(names[at + 1])}>Harder</button>
</div>

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
