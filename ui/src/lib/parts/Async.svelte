<script lang="ts" generics="T">
  import type { Snippet } from 'svelte'
  import { describe } from '../api/client'
  import Part from './Part.svelte'

  interface Props {
    query: { data?: T; error: unknown; refetch: () => unknown }
    children: Snippet<[T]>
  }
  let { query, children }: Props = $props()
</script>

{#if query.data !== undefined}
  {@const data = query.data}
  <Part name="This part">{@render children(data)}</Part>
{:else if query.error}
  <div class="alert alert-error" role="alert">
    <p>{describe(query.error)}</p>
    <button class="btn btn-sm" onclick={() => void query.refetch()}>Try again</button>
  </div>
{:else}
  <p role="status">Loading…</p>
{/if}
