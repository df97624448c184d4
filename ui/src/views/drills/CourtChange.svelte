<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api, type ChangedCourt, type DrillDocument } from '../../lib/api/client'
  import { keys } from '../../lib/data'
  import { notices } from '../../lib/notice.svelte'

  interface Props {
    document: DrillDocument
    /** Take over the drill on its new court. */
    onchange: (document: DrillDocument) => void
  }
  let { document: drill, onchange }: Props = $props()
  const courts = createQuery(() => ({
    queryKey: keys.courts,
    queryFn: () => answer(api.GET('/api/courts')),
    staleTime: Infinity,
  }))
  const others = $derived((courts.data ?? []).filter((court) => court.id !== drill.court))
  let chosen = $state('')
  let changed = $state.raw<ChangedCourt | null>(null)
  /** The marks that scale, by their handle; the others keep their offsets. */
  let scales = $state<Record<string, boolean>>({})
  let dialog = $state<HTMLDialogElement>()

  const where = (at: ChangedCourt['marks'][number]['moved']['keeps']) => at.problem || at.said

  /** The marks of a document in the order in which the preview lists them. */
  function withScales(document: DrillDocument): DrillDocument {
    const copy = structuredClone(document)
    const marks: Record<string, { scales?: boolean } | undefined> = {}
    copy.places.forEach((place, i) => (marks[`places.${i}.mark`] = place.mark))
    copy.pattern.balls.forEach((ball, i) => (marks[`pattern.balls.${i}.landing`] = ball.landing))
    const target = (path: string, t: DrillDocument['target'] | undefined) => {
      if (!t) return
      marks[`${path}.mark`] = t.mark
      marks[`${path}.other`] = t.other
      t.points?.forEach((point, i) => (marks[`${path}.points.${i}`] = point))
    }
    target('target', copy.target)
    copy.noGo?.forEach((noGo, i) => target(`noGo.${i}.area`, noGo.area))
    for (const [handle, mark] of Object.entries(marks)) if (mark) mark.scales = scales[handle] ?? false
    return copy
  }

  async function preview() {
    try {
      const body = { document: withScales($state.snapshot(drill) as DrillDocument), court: chosen }
      changed = await answer(api.POST('/api/drills/change-court', { body }))
      dialog?.showModal()
    } catch (error) {
      notices.wrong(error)
    }
  }

  async function choose(handle: string, scale: boolean) {
    scales = { ...scales, [handle]: scale }
    await preview()
  }
</script>

<form
  class="flex flex-wrap items-center gap-2"
  onsubmit={(event) => {
    event.preventDefault()
    void preview()
  }}
>
  <select class="select select-sm w-56 max-w-full" aria-label="Another court" bind:value={chosen} required>
    <option value="" disabled>another court…</option>
    {#each others as court (court.id)}<option value={court.id}>{court.name}</option>{/each}
  </select>
  <button class="btn btn-sm" type="submit">Look at it there</button>
</form>

<dialog bind:this={dialog} class="modal" aria-labelledby="court-title">
  <div class="modal-box max-w-3xl">
    <h2 id="court-title">On {others.find((court) => court.id === chosen)?.name}</h2>
    <p class="mt-1">Each mark keeps its offsets from the lines, or scales with the court.</p>
    <div class="overflow-x-auto">
      <table class="table-sm mt-2 table">
        <thead><tr><th scope="col">What</th><th scope="col">Keeps</th><th scope="col">Scales</th></tr></thead>
        <tbody>
          {#each changed?.marks ?? [] as mark (mark.handle)}
            <tr>
              <th scope="row" class="font-normal"
                >{mark.label}
                <p class="hint text-sm">{mark.said}</p></th
              >
              {#each [false, true] as scale (scale)}
                {@const outcome = scale ? mark.moved.scales : mark.moved.keeps}
                <td class:text-error={!outcome.at}>
                  <label class="flex items-start gap-2">
                    <input
                      type="radio"
                      class="radio radio-sm"
                      name={mark.handle}
                      checked={(scales[mark.handle] ?? false) === scale}
                      onchange={() => void choose(mark.handle, scale)}
                    />
                    <span><span class="sr-only">{scale ? 'scales: ' : 'keeps: '}</span>{where(outcome)}</span>
                  </label>
                </td>
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    {#if changed?.problems.length}
      <p class="text-error mt-2" role="alert">
        {changed.problems.length === 1 ? 'One thing makes' : `${changed.problems.length} things make`} no sense
        there: {changed.problems[0]?.message}. Nothing is lost: take the drill there and measure it anew, or
        leave it here.
      </p>
    {/if}
    <form method="dialog" class="modal-action">
      <button class="btn">Leave it here</button>
      <button class="btn btn-primary" onclick={() => changed && onchange(changed.document)}
        >Take the drill there</button
      >
    </form>
  </div>
</dialog>
