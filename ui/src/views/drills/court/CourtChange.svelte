<script lang="ts">
  import { answer, api, type Transferred, type DrillDocument, type Report } from '../../../lib/api/client'
  import { courtsQuery } from '../../../lib/page/data'
  import { notices } from '../../../lib/parts/notice.svelte'

  interface Props {
    document: DrillDocument
    spots: Report['spots']
    /** Take over the drill on its new court. */
    onchange: (document: DrillDocument) => void
  }
  let { document: drill, spots, onchange }: Props = $props()
  const courts = courtsQuery()
  const others = $derived((courts.data ?? []).filter((court) => court.id !== drill.court))
  let chosen = $state('')
  let changed = $state.raw<Transferred | null>(null)
  type Way = 'keeps' | 'scales' | 'plain'
  const ways: Record<Way, string> = { keeps: 'Keeps', scales: 'Scales', plain: 'Plain place' }
  /** How each mark goes, by its handle; the others keep their offsets where they can. */
  let chosenWays = $state<Record<string, Way>>({})
  let dialog = $state<HTMLDialogElement>()

  const where = (outcome: Transferred['marks'][number]['moved']['keeps']) =>
    outcome.problem || outcome.wording

  async function preview() {
    try {
      const document = $state.snapshot(drill) as DrillDocument
      const going = (way: Way) => Object.keys(chosenWays).filter((handle) => chosenWays[handle] === way)
      changed = await answer(
        api.POST('/api/drills/transfer', {
          body: { document, court: chosen, scales: going('scales'), plain: going('plain') },
        }),
      )
      const lost = changed.marks.filter(
        (mark) => !mark.moved.keeps.at && !mark.moved.scales.at && !chosenWays[mark.handle],
      )
      if (lost.length) {
        chosenWays = {
          ...chosenWays,
          ...Object.fromEntries(lost.map((mark) => [mark.handle, 'plain' as const])),
        }
        await preview()
      }
      if (!dialog?.open) dialog?.showModal()
    } catch (error) {
      notices.wrong(error)
    }
  }

  async function choose(handle: string, way: Way) {
    chosenWays = { ...chosenWays, [handle]: way }
    await preview()
  }

  function begin(event: SubmitEvent) {
    event.preventDefault()
    chosenWays = Object.fromEntries(
      spots.filter((spot) => spot.mark.scales).map((spot) => [spot.handle, 'scales' as const]),
    )
    void preview()
  }
</script>

<form class="flex flex-wrap items-center gap-2" onsubmit={begin}>
  <select class="select select-sm w-56 max-w-full" aria-label="Another court" bind:value={chosen} required>
    <option value="" disabled>another court…</option>
    {#each others as court (court.id)}<option value={court.id}>{court.name}</option>{/each}
  </select>
  <button class="btn btn-sm" type="submit">Look at it there</button>
</form>

<dialog bind:this={dialog} class="modal" aria-labelledby="court-title">
  <div class="modal-box max-w-5xl">
    <h2 id="court-title">On {others.find((court) => court.id === chosen)?.name}</h2>
    <p class="mt-1">
      Each mark keeps its offsets from the lines, scales with the court, or becomes a plain place at the same
      share of it.
    </p>
    <div class="overflow-x-auto">
      <table class="table-sm mt-2 table">
        <thead
          ><tr
            ><th scope="col">What</th>{#each Object.values(ways) as way (way)}<th scope="col">{way}</th
              >{/each}</tr
          ></thead
        >
        <tbody>
          {#each changed?.marks ?? [] as mark (mark.handle)}
            <tr>
              <th scope="row" class="font-normal"
                >{mark.label}
                <p class="hint text-sm">{mark.description}</p></th
              >
              {#each Object.keys(ways) as Way[] as way (way)}
                {@const outcome = mark.moved[way]}
                <td class:text-error={!outcome.at}>
                  <label class="flex items-start gap-2">
                    <input
                      type="radio"
                      class="radio radio-sm"
                      name={mark.handle}
                      disabled={!outcome.at}
                      checked={(chosenWays[mark.handle] ?? 'keeps') === way}
                      onchange={() => void choose(mark.handle, way)}
                    />
                    <span><span class="sr-only">{ways[way]}: </span>{where(outcome)}</span>
                  </label>
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    {#each changed?.problems ?? [] as problem, i (i)}
      <p class="text-error mt-2" role="alert">
        {problem.path.startsWith('target') ? 'Target' : 'This'}: {problem.message}. Give it a shape that the
        other court has first, or leave the drill here.
      </p>
    {/each}
    <form method="dialog" class="modal-action">
      <button class="btn">Leave it here</button>
      <button class="btn btn-primary" onclick={() => changed && onchange(changed.document)}
        >Take the drill there</button
      >
    </form>
  </div>
</dialog>
