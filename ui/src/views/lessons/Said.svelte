<script lang="ts">
  import type { Planner } from './planner.svelte'

  interface Props {
    planner: Planner
  }
  let { planner }: Props = $props()
  const titles = $derived(planner.document.blocks.filter((b) => planner.drop.includes(b.id)))
</script>

<div role="status" aria-label="What the last change did">
  {#if planner.said.length}
    <ul class="bg-base-200 rounded-box mt-3 flex flex-col gap-1 p-3 text-sm">
      {#each planner.said as sentence (sentence)}<li>{sentence}</li>{/each}
      {#if titles.length}
        <li class="mt-1 flex flex-wrap gap-2">
          {#each titles as block (block.id)}
            <button class="btn btn-sm" onclick={() => void planner.takeOut(block.id)}
              >Take out {block.title}</button
            >
          {/each}
        </li>
      {/if}
      <li><button class="link" onclick={() => ((planner.said = []), (planner.drop = []))}>Close</button></li>
    </ul>
  {/if}
</div>
