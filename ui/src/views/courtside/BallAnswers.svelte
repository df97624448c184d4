<script lang="ts">
  import type { Counter, Entry } from '../../lib/api/client'
  import { answersOf } from './counting'

  /** Made or missed, how it was missed where that is asked, and before it whether the idea was right. */
  interface Props {
    counter: Counter
    onball: (kind: 'made' | 'missed', miss: Entry['miss'], choice: Entry['choice']) => void
  }
  let { counter, onball }: Props = $props()
  const [made, missed] = $derived(answersOf(counter))
  const kinds = $derived(counter.misses && counter.unit === 'ball')
  /** Whether the ball that is counted next was the right idea. */
  let choice = $state<Entry['choice']>()

  function ball(kind: 'made' | 'missed', miss?: Entry['miss']) {
    onball(kind, miss, choice)
    choice = undefined
  }
</script>

{#if counter.choices}
  <div class="two" role="group" aria-label="The idea, before made or missed">
    {#each ['right', 'wrong'] as const as idea (idea)}
      <button
        class="btn big"
        class:btn-primary={choice === idea}
        aria-pressed={choice === idea}
        onclick={() => (choice = choice === idea ? undefined : idea)}>{idea} idea</button
      >
    {/each}
  </div>
{/if}
<div class="two" class:kinds>
  <button class="answer made" onclick={() => ball('made')}>{made}</button>
  {#if kinds}
    <div class="misses" role="group" aria-label="Missed">
      {#each ['net', 'long', 'wide'] as const as miss (miss)}
        <button class="answer missed" onclick={() => ball('missed', miss)}
          >{miss[0]?.toUpperCase()}{miss.slice(1)}</button
        >
      {/each}
    </div>
  {:else}
    <button class="answer missed" onclick={() => ball('missed')}>{missed}</button>
  {/if}
</div>

<style>
  .big {
    min-height: 48px;
    font-size: 1.05rem;
  }
  .two {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.5rem;
  }
  /* With kinds of misses, made stands above them, so that the count stays in sight. */
  .kinds {
    grid-template-columns: 1fr;
  }
  .kinds .made {
    min-height: 64px;
  }
  .misses {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 0.5rem;
  }
  .answer {
    min-height: clamp(64px, 12dvh, 96px);
    border-radius: var(--radius-box);
    font-size: 1.6rem;
    font-weight: 700;
    cursor: pointer;
  }
  .misses .answer {
    min-height: 64px;
    font-size: 1.25rem;
  }
  .made {
    background: var(--color-success);
    color: var(--color-success-content);
  }
  .missed {
    background: transparent;
    color: var(--color-error);
    border: 4px solid var(--color-error);
  }
</style>
