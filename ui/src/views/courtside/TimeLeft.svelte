<script lang="ts">
  import Rolling from '../../lib/parts/Rolling.svelte'
  import { minutes } from '../../lib/words/words'
  import type { Run } from './courtside.svelte'
  import VersionChoice from './VersionChoice.svelte'

  /** How much is left of the block that is on, or by how much the lesson is over. */
  interface Props {
    run: Run
  }
  let { run }: Props = $props()
</script>

<section class="clock" aria-label="Time">
  <p class="title">
    {run.over ? 'The lesson is over' : run.scheduled?.title}
    <span class="state">{run.over ? 'by' : run.begun && !run.running ? 'held' : 'left of this block'}</span>
  </p>
  <p class="drum">
    <Rolling
      still
      text={minutes(
        run.over ? run.second - run.data.lesson.plan.planned : (run.scheduled?.end ?? 0) - run.second,
      )}
    />
  </p>
  {#if run.versions.names.length && !run.over}
    <VersionChoice {run} />
  {/if}
</section>

<style>
  .clock {
    position: relative;
    background: var(--drum);
    color: var(--on-drum);
    text-align: center;
    padding: 0.25rem 4.75rem;
  }
  .title {
    font-weight: 600;
    line-height: 1.2;
  }
  .state {
    font-size: 0.875rem;
    font-weight: 400;
    white-space: nowrap;
  }
  .drum {
    font-size: clamp(2.9rem, 9.5dvh, 5.2rem);
    line-height: 1;
  }
  @media (min-width: 700px) {
    .drum {
      font-size: clamp(2.9rem, 15dvh, 8rem);
    }
  }
</style>
