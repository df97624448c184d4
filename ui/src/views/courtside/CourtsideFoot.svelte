<script lang="ts">
  import Pause from '@lucide/svelte/icons/pause'
  import Play from '@lucide/svelte/icons/play'
  import SkipBack from '@lucide/svelte/icons/skip-back'
  import SkipForward from '@lucide/svelte/icons/skip-forward'
  import HoldButton from '../../lib/parts/HoldButton.svelte'
  import type { Run } from './courtside.svelte'
  import LateBegin from './LateBegin.svelte'

  /** What is done with the clock of a lesson: begin, hold, the block before and the next one, and finish. */
  interface Props {
    run: Run
    onfinish: () => void
  }
  let { run, onfinish }: Props = $props()
</script>

<footer class:over={run.over}>
  {#if run.over}
    <button class="btn" onclick={() => void run.longer(1)}>One more minute</button>
    <HoldButton class="btn-primary" hint="Hold it down to finish" onheld={onfinish}>Finish</HoldButton>
  {:else}
    <button class="btn" onclick={() => void run.jump(-1)} aria-label="Block before"
      ><SkipBack aria-hidden="true" /></button
    >
    {#if run.running}
      <button class="btn" onclick={() => void run.hold()}><Pause aria-hidden="true" /> Hold</button>
      <button class="btn" onclick={() => void run.longer(1)} aria-label="One more minute">+1 min</button>
    {:else if run.begun}
      <button class="btn btn-primary wide" onclick={() => void run.goOn()}
        ><Play aria-hidden="true" /> Go on</button
      >
    {:else}
      <LateBegin {run} />
    {/if}
    <button class="btn" onclick={() => void run.jump(1)} aria-label="Next block"
      ><SkipForward aria-hidden="true" /></button
    >
  {/if}
</footer>

<style>
  footer {
    grid-area: footer;
    border-top: 1px solid var(--color-base-300);
    display: grid;
    grid-template-columns: auto 1fr auto auto;
    gap: 0.5rem;
    padding: 0.4rem 0.5rem;
  }
  footer.over {
    grid-template-columns: auto 1fr;
  }
  footer :global(.wide) {
    grid-column: span 2;
  }
  footer :global(.btn) {
    min-height: 56px;
    min-width: 64px;
    font-size: 1.1rem;
  }
  @media (min-width: 700px) {
    footer {
      border-top: 0;
    }
  }
</style>
