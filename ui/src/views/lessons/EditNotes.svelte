<script lang="ts">
  import type { Planner } from './planner.svelte'

  interface Props {
    planner: Planner
  }
  let { planner }: Props = $props()
  const titles = $derived(planner.document.blocks.filter((b) => planner.drop.includes(b.id)))
</script>

<div role="status" aria-label="What the last change did">
  {#if planner.sentences.length}
    <ul class="notes bg-base-200 border-base-300 rounded-box flex flex-col gap-1 border p-3 text-sm">
      {#each planner.sentences as sentence, i (i)}<li>{sentence}</li>{/each}
      {#if titles.length}
        <li class="mt-1 flex flex-wrap gap-2">
          {#each titles as block (block.id)}
            <button class="btn btn-sm" onclick={() => void planner.takeOut(block.id)}
              >Take out {block.title}</button
            >
          {/each}
        </li>
      {/if}
      <li>
        <button class="link" onclick={() => ((planner.sentences = []), (planner.drop = []))}>Close</button>
      </li>
    </ul>
  {/if}
</div>

<style>
  /* At the foot of the page, so that nothing moves away from under the pointer. */
  .notes {
    max-height: 40vh;
    overflow-y: auto;
    margin-bottom: 0.5rem;
    box-shadow: 0 0 0.75rem color-mix(in oklab, var(--color-base-content) 25%, transparent);
  }
  @media (max-width: 700px) {
    .notes {
      position: fixed;
      inset: auto 0.5rem 4.5rem;
      z-index: 5;
      max-height: 18vh; /* what is pressed again and again stays in sight */
    }
  }
  @media print {
    .notes {
      display: none;
    }
  }
</style>
