<script lang="ts">
  import CourtTable from '../../../court/CourtTable.svelte'
  import type { Report } from '../../../lib/api/client'
  import CourtChange from '../court/CourtChange.svelte'
  import NoGo from '../court/NoGo.svelte'
  import StandHere from '../court/StandHere.svelte'
  import type { Bench } from './bench.svelte'

  /** Where everything of a drill is, as a table, and how it is walked off. */
  interface Props {
    bench: Bench
    report: Report
    ontype: (path: string, text: string) => void
  }
  let { bench, report, ontype }: Props = $props()
  const draft = $derived(bench.draft)
  const builtIn = $derived(bench.builtIn)
  const errors = $derived(bench.errors)
</script>

<section aria-labelledby="places">
  <h2 id="places">Where everything is</h2>
  <div class="overflow-x-auto">
    <CourtTable
      {report}
      {errors}
      ontype={builtIn ? undefined : ontype}
      onreword={builtIn ? undefined : (handle, wording) => bench.edit({ reword: { handle, ...wording } })}
      onremove={builtIn ? undefined : (handle) => bench.edit({ remove: handle })}
    />
  </div>
  {#if !builtIn}
    <p class="hint mb-3 text-sm">
      Type lengths as you say them: 4 ft 6 in, 1.4 m, 3 steps, 3/4 back, half-way from the net to the far
      service line.
    </p>
    <NoGo {draft} {report} />
    <div class="mt-3">
      <CourtChange
        document={draft.document}
        spots={report.spots}
        onchange={(document) => draft.replace(document)}
      />
    </div>
  {/if}
  {#if report.walk.length}
    <h2 class="mt-4">Walk it off</h2>
    <ol class="mt-1 list-decimal pl-5">
      {#each report.walk as step, i (i)}<li>
          <strong class="font-medium">{step.label}</strong>: {step.description}
        </li>{/each}
    </ol>
    <p class="hint mt-1 text-sm">From the near left corner, the shortest way.</p>
  {/if}
  <StandHere
    drill={draft.document}
    hand={bench.hand}
    student={bench.student}
    level={bench.level}
    feeder={report.spots.find((spot) => spot.kind === 'feeder')?.at}
  />
</section>
