<script lang="ts">
  import type { Counter } from '../../lib/api/client'

  /** Zones of the half that balls are played to, for a thumb: the court inside, what is out around it. */
  interface Props {
    zones: Counter['zones']
    chosen: Counter['zones'][number] | undefined
    onzone: (zone: Counter['zones'][number]) => void
  }
  let { zones, chosen, onzone }: Props = $props()
  const columns = $derived(zones.filter((z) => z.top === zones[0]?.top).length)
  const out = (name: string) => /^long|wide/.test(name)
</script>

<div class="zones" style:--columns={columns} role="group" aria-label="Where the ball landed">
  {#each zones as zone, i (i)}
    <button
      class="zone"
      class:out={out(zone.name ?? '')}
      class:chosen={chosen?.name === zone.name}
      aria-pressed={chosen?.name === zone.name}
      onclick={() => onzone(zone)}>{zone.name}</button
    >
  {/each}
</div>

<style>
  .zones {
    display: grid;
    grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
    gap: 3px;
    background: var(--surface);
    padding: 3px;
    border-bottom: 4px solid var(--net);
  }
  .zone {
    min-height: 64px;
    background: var(--tag);
    color: var(--on-court);
    font-size: 0.85rem;
    line-height: 1.1;
    padding: 2px;
  }
  .zone.out {
    background: var(--color-base-200);
    color: var(--color-base-content);
  }
  .zone.chosen {
    background: var(--color-primary);
    color: var(--color-primary-content);
    outline: 3px solid var(--color-base-content);
    outline-offset: -3px;
  }
</style>
