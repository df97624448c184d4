<script lang="ts">
  import { minutes } from '../../lib/words/words'
  import type { Run } from './courtside.svelte'
  import Whereabouts from './Whereabouts.svelte'

  /** What is said to the players now, who is where, and what comes next. */
  interface Props {
    run: Run
  }
  let { run }: Props = $props()
  /** Seconds for which a role swap stands out. */
  const swapShown = 15
</script>

<section class="cue" aria-live="polite" aria-label="Now">
  <p class="now">{run.cue?.text ?? 'Ready when you are'}</p>
  {#if run.roles}
    {#if run.roles.kind === 'swap' && run.second - run.roles.second < swapShown}<p class="swap">
        {run.roles.text}
      </p>{/if}
    <div class="who">
      <ul class="roles" aria-label={run.roles.text}>
        {#each run.roles.roles.filter((r) => r.role !== 'as drawn') as role, i (i)}
          <li><strong>{role.name}</strong> {role.role}</li>
        {/each}
      </ul>
      <Whereabouts court={run.data.court} now={run.roles.roles} next={run.nextRoles} second={run.second} />
    </div>
  {/if}
</section>
{#if run.next && !run.over}
  <p class="next"><span>Next, in {minutes(run.next.second - run.second)}:</span> {run.next.text}</p>
{/if}

<style>
  .cue {
    padding: 0 1rem;
  }
  .now {
    font-size: clamp(1.15rem, 2.7dvh, 1.5rem);
    line-height: 1.25;
    font-weight: 600;
  }
  .swap {
    display: inline-block;
    background: var(--color-primary);
    color: var(--color-primary-content);
    font-weight: 700;
    padding: 0.1rem 0.6rem;
    border-radius: var(--radius-field);
  }
  /* Who is where, in words and drawn, side by side. */
  .who {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.75rem;
    margin-top: 0.25rem;
  }
  .roles {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
    align-content: start;
    gap: 0.3rem 0.75rem;
  }
  .next {
    padding: 0.35rem 1rem;
    background: var(--color-base-200);
  }
  .next span {
    font-variant-numeric: tabular-nums;
    font-weight: 600;
  }
</style>
