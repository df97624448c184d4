<script lang="ts" generics="T extends object">
  import Differences from './Differences.svelte'
  import type { Draft } from './draft.svelte'
  import { inWords } from '../fields/fields'

  interface Props {
    draft: Draft<T>
    /** An edit is still being worked out, and not in the draft yet. */
    busy?: boolean
    /** What to do about a newer version elsewhere, besides choosing one of both. */
    onkeep?: () => void
  }
  let { draft, busy = false, onkeep }: Props = $props()

  const words = {
    saved: 'All changes saved',
    waiting: 'Saving…',
    saving: 'Saving…',
    refused: 'Not saved: something needs putting right',
    stale: 'Changed somewhere else',
    unsent: 'Kept on this device: Hodometer does not answer',
  }
  const wrong = $derived(Object.entries(draft.fields))
</script>

<span
  class="text-sm"
  role="status"
  class:text-error={draft.status !== 'saved' && draft.status !== 'waiting' && draft.status !== 'saving'}
>
  {words[busy && draft.status === 'saved' ? 'waiting' : draft.status]}
</span>
{#if draft.storageError}
  <span class="text-error text-sm">This device cannot keep a copy meanwhile.</span>
{/if}
{#if draft.status === 'stale'}
  <div class="trouble alert alert-warning alert-vertical sm:alert-horizontal mt-2 w-full" role="alert">
    <div>
      <p>{draft.detail} Your changes are still on this page. What differs:</p>
      <Differences list={draft.conflicts} mine="Here" theirs="There" />
    </div>
    <div class="flex flex-wrap gap-2">
      <button class="btn btn-sm" onclick={() => draft.settle('mine')}>Keep mine</button>
      <button class="btn btn-sm" onclick={() => draft.settle('theirs')}>Take the other</button>
      {#if onkeep}<button class="btn btn-sm" onclick={onkeep}>Keep mine as a copy</button>{/if}
    </div>
  </div>
{:else if draft.status === 'unsent'}
  <button class="btn btn-sm" onclick={() => void draft.flush()}>Try again</button>
{:else if draft.status === 'refused'}
  <div class="trouble text-error bg-base-100 w-full text-sm" role="alert">
    {#if wrong.length}
      <ul>
        {#each wrong as [path, message] (path)}
          <li><strong>{inWords(path)}</strong>: {message}</li>
        {/each}
      </ul>
    {:else}{draft.detail}{/if}
    <button class="btn btn-sm mt-1" onclick={() => draft.back()}>Back to what is saved</button>
  </div>
{/if}

<style>
  /* What is wrong stays in sight wherever the coach is on the page. */
  .trouble {
    max-height: 40vh;
    overflow-y: auto;
  }
  @media (min-width: 701px) {
    :global(:has(> .trouble)) {
      position: sticky;
      top: 0;
      z-index: 6;
      padding-block: 0.5rem;
      background: var(--color-base-100);
    }
  }
  @media (max-width: 700px) {
    .trouble {
      position: fixed;
      inset: auto 0.5rem 4.5rem;
      z-index: 6;
      width: auto;
      padding: 0.5rem;
      border-radius: var(--radius-box);
      box-shadow: 0 0 0.75rem color-mix(in oklab, var(--color-base-content) 25%, transparent);
    }
  }
</style>
