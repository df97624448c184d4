<script lang="ts">
  import type { Snippet } from 'svelte'

  interface Props {
    /** How the table was read. */
    as: string
    /** What is to come in, in words; empty: nothing is. */
    what: string
    /** What stands in the way; empty: nothing does. */
    wrong: string
    refusal: string
    busy: boolean
    onbringin: () => void
    onleave: () => void
    children: Snippet
  }
  let { as, what, wrong, refusal, busy, onbringin, onleave, children }: Props = $props()
</script>

<div class="bar bg-base-100 border-base-300 mt-3">
  <p role="status">
    {#if wrong}<strong class="text-error">{wrong}</strong>{/if}
    {what || 'Nothing is to come in.'}
    <span class="hint text-sm">Read as {as}.</span>
  </p>
  <div class="flex gap-2">
    <button class="btn btn-primary" disabled={busy || !what || wrong !== ''} onclick={onbringin}
      >Bring in</button
    >
    <button class="btn" onclick={onleave}>Another table</button>
  </div>
</div>
{#if refusal}<p class="text-error mt-2" role="alert">{refusal}</p>{/if}
{@render children()}

<style>
  .bar {
    position: sticky;
    top: 0;
    z-index: 5;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 0.5rem 1.5rem;
    padding: 0.6rem 0;
    border-bottom-width: 1px;
  }
</style>
