<script lang="ts">
  import { type Settings } from '../../lib/api/client'
  import { courtsQuery } from '../../lib/page/data'
  import type { Draft } from '../../lib/drafts/draft.svelte'
  import LengthField from '../../lib/fields/LengthField.svelte'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import TextField from '../../lib/fields/TextField.svelte'

  /** The coach's own depth regions: names, purposes, and the line each one stops at. */
  interface Props {
    draft: Draft<Settings['settings']>
  }
  let { draft }: Props = $props()
  const courts = courtsQuery()
  let court = $state('tennis')
  const most = 6
  const fewest = 3

  /** Lines across the near half, nearest to the net first. */
  const stops = (id: string) =>
    (courts.data?.find((c) => c.id === id)?.lines ?? [])
      .filter((l) => l.from.y === l.to.y && l.from.y < 0)
      .sort((a, b) => b.from.y - a.from.y)

  function add() {
    const lines = stops(court)
    const first = lines[0]
    const last = lines.at(-1)
    if (!first || !last) return
    draft.change((d) =>
      d.schemes.push({
        name: `My regions ${d.schemes.length + 1}`,
        court,
        depths: [
          { name: 'front', purpose: 'finish', stop: { line: first.id, distance: 0, toward: 'near' } },
          { name: 'middle', purpose: 'set up', stop: { line: last.id, distance: 0.5, toward: 'far' } },
          { name: 'back', purpose: 'defend', stop: { line: last.id, distance: 0, toward: 'near' } },
        ],
      }),
    )
  }

  type Stop = Settings['settings']['schemes'][number]['depths'][number]['stop']
  function change(scheme: number, depth: number, stop: Partial<Stop>) {
    draft.change((d) => Object.assign(d.schemes[scheme]?.depths[depth]?.stop ?? {}, stop))
  }

  function split(scheme: number) {
    draft.change((d) => {
      const depths = d.schemes[scheme]?.depths
      const before = depths?.at(-2)
      if (before)
        depths?.splice(-1, 0, {
          name: 'another',
          purpose: '',
          stop: { ...before.stop, distance: (before.stop.distance ?? 0) + 1, toward: 'near' },
        })
    })
  }
</script>

<section class="sheet mt-4 max-w-2xl" aria-labelledby="regions">
  <h2 id="regions">Your own depth regions</h2>
  {#each draft.document.schemes as scheme, i (i)}
    <fieldset class="border-base-300 mt-3 border-t pt-3">
      <legend class="sr-only">{scheme.name}</legend>
      <div class="flex flex-wrap items-end gap-3">
        <TextField
          label="Name of these regions"
          value={scheme.name}
          error={draft.fields[`schemes.${i}.name`]}
          onchange={(name) => draft.change((d) => d.schemes[i] && (d.schemes[i].name = name))}
        />
        <span class="pb-2 text-sm"
          >on {courts.data?.find((c) => c.id === scheme.court)?.name ?? scheme.court}</span
        >
        <button
          class="btn btn-sm mb-1 ml-auto"
          disabled={scheme.depths.length >= most}
          onclick={() => split(i)}>One more depth</button
        >
        <button class="btn btn-sm mb-1" onclick={() => draft.change((d) => d.schemes.splice(i, 1))}
          >Take out<span class="sr-only"> {scheme.name}</span></button
        >
      </div>
      {#each scheme.depths as depth, j (j)}
        {@const error = draft.fields[`schemes.${i}.depths.${j}.stop`]}
        <div class="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
          <TextField
            label="Depth {j + 1} from the net"
            value={depth.name}
            error={draft.fields[`schemes.${i}.depths.${j}.name`]}
            onchange={(name) =>
              draft.change((d) => d.schemes[i]?.depths[j] && (d.schemes[i].depths[j].name = name))}
          />
          <TextField
            label="Purpose"
            value={depth.purpose}
            onchange={(purpose) =>
              draft.change((d) => d.schemes[i]?.depths[j] && (d.schemes[i].depths[j].purpose = purpose))}
          />
          {#if j < scheme.depths.length - 1}
            <SelectField
              label="Stops at the"
              value={depth.stop.line}
              options={stops(scheme.court).map((l) => ({ value: l.id, label: l.name }))}
              onchange={(line) => change(i, j, { line })}
            />
            <div class="grid grid-cols-2 gap-1">
              <LengthField
                label="Off it by"
                {error}
                metres={depth.stop.distance ?? 0}
                onchange={(metres) => change(i, j, { distance: metres })}
              />
              <SelectField
                label="Towards"
                value={depth.stop.toward === 'far' ? 'far' : 'near'}
                options={[
                  { value: 'near', label: 'you' },
                  { value: 'far', label: 'the net' },
                ]}
                onchange={(toward) => change(i, j, { toward })}
              />
            </div>
          {:else}
            <p class="hint col-span-2 self-end pb-2 text-sm">reaches to the end of the floor</p>
          {/if}
          {#if scheme.depths.length > fewest && j < scheme.depths.length - 1}
            <button class="btn btn-sm" onclick={() => draft.change((d) => d.schemes[i]?.depths.splice(j, 1))}
              >Drop depth {j + 1}</button
            >
          {/if}
        </div>
      {/each}
    </fieldset>
  {/each}
  <div class="mt-3 flex flex-wrap gap-2">
    <select class="select select-sm w-56" aria-label="Court of the new regions" bind:value={court}>
      {#each courts.data ?? [] as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
    </select>
    <button class="btn btn-sm" onclick={add}>Add regions</button>
  </div>
</section>
