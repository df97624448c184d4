<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api, type CourtPlan } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { listed, many } from '../../lib/words/words'
  import type { Planner } from './planner.svelte'

  interface Props {
    planner: Planner
  }
  let { planner }: Props = $props()
  const body = $derived(planner.snapshot())
  const query = createQuery(() => ({
    queryKey: ['lessons', 'courts', body],
    queryFn: () => answer(api.POST('/api/lessons/courts', { body })),
    placeholderData: (before: CourtPlan[] | undefined) => before,
  }))
</script>

<section class="sheet" aria-labelledby="court-plan">
  <h2 id="court-plan">On court</h2>
  {#if planner.plan.carry.length}
    <p class="mt-1">
      <strong>Carry:</strong> <span data-figure="{planner.id} Carry">{listed(planner.plan.carry)}</span>.
    </p>
  {/if}
  <Async {query}>
    {#snippet children(plans)}
      {#each plans as plan (plan.court.id)}
        <h3 class="mt-3 font-semibold">{plan.court.name}</h3>
        <ul class="mt-1 flex flex-col gap-1 text-sm">
          {#each plan.moves as move (move.block)}
            <li>
              <span class="drum-digits text-base">{move.clock}</span>
              {move.title}:
              {[
                move.goes.length ? `collect ${listed(move.goes)}` : '',
                move.comes.length ? `put down ${listed(move.comes)}` : '',
                move.stays.length ? `${listed(move.stays)} stand already` : '',
              ]
                .filter(Boolean)
                .join('; ') || (move.marks ? `mark ${many(move.marks, 'place')}` : 'nothing to move')}.
            </li>
          {/each}
        </ul>
        <details class="mt-2">
          <summary class="cursor-pointer py-1 text-sm font-semibold"
            >Walk it off once ({plan.walk.length} places)</summary
          >
          <ol class="mt-1 list-decimal pl-6 text-sm">
            {#each plan.walk as step, i (i)}<li>{step.label}: {step.description}</li>{/each}
          </ol>
        </details>
      {:else}
        <p class="mt-1 text-sm">No drill yet: nothing to put down.</p>
      {/each}
    {/snippet}
  </Async>
</section>
