<script lang="ts">
  import type { Block, LessonEdit, Plan } from '../../lib/api/client'
  import FindingItem from './FindingItem.svelte'

  interface Props {
    plan: Plan
    blocks: Block[]
    onremedy: (change: LessonEdit) => void
  }
  let { plan, blocks, onremedy }: Props = $props()
</script>

<section class="sheet" aria-labelledby="findings">
  <h2 id="findings">What fits and what does not</h2>
  <ul class="mt-2 flex flex-col gap-3">
    {#each plan.findings as finding, i (i)}
      <li><FindingItem {finding} {blocks} {onremedy} /></li>
    {:else}
      <li>Everything fits.</li>
    {/each}
  </ul>
  {#if plan.cautions.length}
    <details class="mt-3">
      <summary class="cursor-pointer py-1 text-sm font-semibold"
        >Cautions that apply ({plan.cautions.length})</summary
      >
      <ul class="mt-1 list-disc pl-5 text-sm">
        {#each plan.cautions as caution, i (i)}<li>{caution}</li>{/each}
      </ul>
    </details>
  {/if}
  <p class="hint mt-3 text-sm">
    No medical advice; local safeguarding, club and federation rules come first.
  </p>
</section>
