<script lang="ts">
  import type { Verdict } from '../../../lib/api/client'

  /** How hard a ball is: in a word, and as steps to be climbed. */
  interface Props {
    verdict: Verdict
    /** Only the steps. */
    bare?: boolean
  }
  let { verdict, bare = false }: Props = $props()
  const steps = $derived(['easy', 'working', 'stretched', 'out of reach'].indexOf(verdict) + 1)
</script>

<span class="inline-flex items-center gap-1.5 whitespace-nowrap">
  <svg viewBox="0 0 16 16" width="16" height="16" class="v{steps}" aria-hidden="true">
    {#if steps === 4}
      <path d="M3 3L13 13M13 3L3 13" stroke="currentColor" stroke-width="3" />
    {:else}
      {#each [1, 2, 3] as step (step)}
        <rect
          x={step * 5 - 4}
          y={14 - step * 4}
          width="4"
          height={step * 4}
          fill={step <= steps ? 'currentColor' : 'none'}
          stroke="currentColor"
        />
      {/each}
    {/if}
  </svg>
  <span class:sr-only={bare}>{verdict}</span>
</span>

<style>
  .v1 {
    color: var(--verdict-easy);
  }
  .v2 {
    color: var(--verdict-working);
  }
  .v3 {
    color: var(--verdict-stretched);
  }
  .v4 {
    color: var(--verdict-out-of-reach);
  }
</style>
