<script lang="ts">
  import type { Drum, Working } from './api/client'
  import Rolling from './Rolling.svelte'
  import WorkingDialog from './WorkingDialog.svelte'

  interface Props {
    drums: Drum[]
  }
  let { drums }: Props = $props()
  let open = $state<Working | null>(null)
</script>

<section aria-label="Counts of this plan" class="drums rounded-box grid gap-px overflow-hidden">
  {#each drums as drum, i (i)}
    <button class="drum" onclick={() => (open = drum.working)} title="How this came about">
      <span class="text-sm">{drum.name}</span>
      <span class="flex items-baseline gap-1">
        <span class={drums.length > 9 ? 'text-2xl' : 'text-3xl'}><Rolling text={drum.text} /></span>
        <span class="text-sm">{drum.unit}</span>
      </span>
    </button>
  {/each}
</section>
<WorkingDialog working={open} onclose={() => (open = null)} />

<style>
  .drums {
    background: color-mix(in oklab, var(--drum) 80%, var(--on-drum));
    grid-template-columns: repeat(auto-fit, minmax(5.3rem, 1fr));
  }
  .drum {
    background: var(--drum);
    color: var(--on-drum);
    padding: 0.5rem;
    text-align: left;
    display: flex;
    flex-direction: column;
    gap: 0.25rem;
    cursor: pointer;
  }
  .drum:focus-visible {
    outline-offset: -4px;
    outline-color: var(--on-drum);
  }
</style>
