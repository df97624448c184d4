<script lang="ts" generics="T extends object">
  import type { Draft } from './draft.svelte'

  interface Props {
    draft: Draft<T>
    /** What to do about a newer version elsewhere. */
    onkeep?: () => void
    onreload: () => void
  }
  let { draft, onkeep, onreload }: Props = $props()

  const words = {
    saved: 'All changes saved',
    waiting: 'Saving…',
    saving: 'Saving…',
    refused: 'Not saved: something needs putting right',
    stale: 'Changed somewhere else',
    unsent: 'Not saved: Hodometer does not answer',
  }
</script>

<span
  class="text-sm"
  role="status"
  class:text-error={draft.status !== 'saved' && draft.status !== 'waiting' && draft.status !== 'saving'}
>
  {words[draft.status]}
</span>
{#if draft.status === 'stale'}
  <div class="alert alert-warning mt-2 w-full" role="alert">
    <p>{draft.detail} Your changes are still on this page.</p>
    <div class="flex gap-2">
      {#if onkeep}<button class="btn btn-sm" onclick={onkeep}>Keep mine as a copy</button>{/if}
      <button class="btn btn-sm" onclick={onreload}>Show the other version</button>
    </div>
  </div>
{:else if draft.status === 'unsent'}
  <button class="btn btn-sm" onclick={() => void draft.flush()}>Try again</button>
{:else if draft.status === 'refused'}
  <span class="text-error text-sm">{Object.keys(draft.fields).length ? '' : draft.detail}</span>
{/if}
