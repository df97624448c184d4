<script lang="ts">
  import type { Why } from '../../lib/api/client'
  import type { Run } from './courtside.svelte'

  /** What the last change made of the lesson, why it was made, and that it can be taken back. */
  interface Props {
    run: Run
  }
  let { run }: Props = $props()
  const first = $derived(run.said?.sentences[0])
  const more = $derived(run.said?.sentences.slice(1) ?? [])
  const reasons: Why[] = ['too easy', 'swamped', 'tired', 'stiff']
</script>

<div class="said" role="status">
  <p>{first}</p>
  {#if more.length}
    <details>
      <summary>and {more.length} more</summary>
      <p>{more.join(' ')}</p>
    </details>
  {/if}
  {#if run.said?.asks}
    <div class="why" role="group" aria-label="Why">
      {#each reasons as why (why)}
        <button class="btn" onclick={() => void run.because(why)}>{why}</button>
      {/each}
    </div>
  {/if}
  <p class="after">
    <button class="link" onclick={() => void run.unsaid()}>Take that back</button>
    <button class="link" onclick={() => (run.said = undefined)}>All right</button>
  </p>
</div>

<style>
  .said {
    padding: 0 1rem;
    font-size: 0.9rem;
  }
  summary {
    min-height: 44px;
    padding-block: 0.6rem;
    cursor: pointer;
  }
  .after {
    display: flex;
    justify-content: space-between;
  }
  .link {
    min-height: 44px;
  }
  .why {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: 0.3rem;
  }
  .why .btn {
    min-height: 44px;
    padding-inline: 0.25rem;
    font-weight: 500;
  }
</style>
