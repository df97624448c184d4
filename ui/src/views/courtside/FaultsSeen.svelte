<script lang="ts">
  import type { Counter } from '../../lib/api/client'
  import type { Waiting } from './courtside.svelte'
  import { unanswered } from './counting'

  /** The faults that are watched in a student, each with how often it was seen; a press sees it once more. */
  interface Props {
    counter: Counter
    waiting: Waiting[]
    onsee: (fault: string) => void
  }
  let { counter, waiting, onsee }: Props = $props()
</script>

<div class="faults" role="group" aria-label="Faults to watch in {counter.short}">
  {#each counter.faults as { fault, times } (fault)}
    <button class="btn" onclick={() => onsee(fault)}
      >{fault}
      <span class="drum-digits">{times + unanswered(fault, counter.student, waiting)}</span><span
        class="sr-only">times</span
      ></button
    >
  {/each}
</div>

<style>
  .faults {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem;
  }
  .btn {
    min-height: 44px;
    height: auto;
    font-weight: 500;
  }
</style>
