<script lang="ts">
  /** The road of a stroke in small: its rungs as milestones, and the one that a drill serves. */
  interface Props {
    stroke: string
    rung: string
    rungs: readonly string[]
  }
  let { stroke, rung, rungs }: Props = $props()
  const at = $derived(rungs.indexOf(rung))
</script>

<span class="road" title="{stroke}: {rung}">
  <svg viewBox="0 0 {rungs.length * 18} 14" width={rungs.length * 18} height="14" aria-hidden="true">
    <line x1="6" y1="8" x2={rungs.length * 18 - 12} y2="8" />
    {#each rungs as each, i (each)}
      {#if i === at}<circle cx={6 + i * 18} cy="8" r="5" class="here" />{:else}<line
          x1={6 + i * 18}
          x2={6 + i * 18}
          y1="4"
          y2="12"
        />{/if}
    {/each}
  </svg>
  <span>{stroke}, {rung}</span>
</span>

<style>
  .road {
    display: inline-flex;
    flex-wrap: wrap;
    max-width: 100%;
    align-items: center;
    gap: 0.4rem;
  }
  svg {
    flex: none;
  }
  line {
    stroke: color-mix(in oklab, var(--color-base-content) 60%, transparent);
    stroke-width: 1.5;
  }
  .here {
    fill: var(--color-primary);
  }
</style>
