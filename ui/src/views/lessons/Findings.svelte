<script lang="ts">
  import FindingItem from './FindingItem.svelte'
  import { keyed } from './findings'
  import type { Planner } from './planner.svelte'

  interface Props {
    planner: Planner
  }
  let { planner }: Props = $props()
  const plan = $derived(planner.plan)
  /**
   * Those of the lesson first, then with their blocks in the order of the road; those of the open block stand in it.
   */
  const open = $derived(
    ['', ...planner.document.blocks.map((block) => block.id)].flatMap((id) =>
      plan.findings.filter(
        (each) => (each.block ?? '') === id && !each.hushed && (!id || id !== planner.selected),
      ),
    ),
  )
  const here = $derived(plan.findings.filter((each) => each.block && each.block === planner.selected))
  const hushed = $derived(plan.findings.filter((each) => each.hushed && each.block !== planner.selected))
</script>

<section class="sheet" aria-labelledby="findings">
  <h2 id="findings">What fits and what does not</h2>
  <ul class="mt-2 flex flex-col gap-3">
    {#each keyed(open) as { key, finding } (key)}
      <li><FindingItem {finding} {planner} /></li>
    {:else}
      {#if !here.length}<li>{hushed.length ? 'Everything else fits.' : 'Everything fits.'}</li>{/if}
    {/each}
  </ul>
  {#if here.length}<p class="hint mt-2 text-sm">
      {here.length} more with the block that is open.
    </p>{/if}
  {#if hushed.length}
    <details class="mt-3">
      <summary class="cursor-pointer py-1 text-sm font-semibold">Left as they are ({hushed.length})</summary>
      <ul class="mt-1 flex flex-col gap-3">
        {#each keyed(hushed) as { key, finding } (key)}
          <li><FindingItem {finding} {planner} /></li>
        {/each}
      </ul>
    </details>
  {/if}
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
