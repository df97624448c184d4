<script lang="ts">
  import Async from '../../lib/parts/Async.svelte'
  import { keepingQuery } from '../../lib/page/data'
  import { door } from '../../lib/page/door.svelte'
  import Copies from './Copies.svelte'
  import Everything from './Everything.svelte'
  import FolderOfCopies from './FolderOfCopies.svelte'

  /** What keeps everything from being lost: safe copies, and everything in and out. */
  const query = keepingQuery()
</script>

<a class="link link-hover text-sm" href="#/settings">Settings</a>
<h1>Keeping it safe</h1>
{#if door.state?.coach === false}
  <p class="mt-2 max-w-2xl">Copies are made and restored on the coach’s own machine.</p>
{:else}
  <Async {query}>
    {#snippet children(kept)}
      <p class="mt-2 max-w-3xl">
        Everything is in one file: <code class="wrap-anywhere">{kept.file}</code>
      </p>
      <div class="mt-4 grid grid-cols-1 items-start gap-4 xl:grid-cols-2">
        <Copies {kept} />
        <FolderOfCopies folder={kept.folder} usual={kept.usual} />
        <Everything />
      </div>
    {/snippet}
  </Async>
{/if}
