<script lang="ts">
  import TextField from '../../../lib/fields/TextField.svelte'
  import type { Bench } from '../bench/bench.svelte'
  import PassBy from './PassBy.svelte'

  /** Somebody or something on court: what it is called, how long it is, and how it is passed. */
  interface Props {
    bench: Bench
    /** Its number among the places, from 0. */
    place: number
  }
  let { bench, place }: Props = $props()
  const draft = $derived(bench.draft)
  const it = $derived(draft.document.places[place])
  const spot = $derived(bench.report?.spots.find((each) => each.handle === `places.${place}.mark`))
  /** The cautions that follow from what stands on court. */
  const follows = $derived(
    (bench.report?.care ?? []).filter((caution) => !draft.document.cautions.includes(caution)),
  )
  const detour = $derived(bench.simulation?.detours.find((each) => each.place === place))
  const path = $derived(`places.${place}.size`)
  const size = $derived(bench.report?.sizes.find((each) => each.path === path))
</script>

{#if it && spot}
  <section class="card-of bg-base-100 border-base-300 rounded-box border p-3" aria-label={spot.label}>
    <div class="flex items-baseline gap-2">
      <h3 class="font-semibold">{spot.label}</h3>
      <span class="no-print ml-auto flex gap-1">
        {#if !bench.fixed && spot.removable}
          <button class="btn btn-xs" onclick={() => (bench.edit({ remove: spot.handle }), bench.choose(''))}
            >take it away</button
          >
        {/if}
        <button class="btn btn-xs" onclick={() => bench.choose('')} aria-label="Close {spot.label}">×</button>
      </span>
    </div>
    <p class="hint text-sm">{spot.description}</p>
    <fieldset class="mt-2 grid grid-cols-2 gap-x-3 gap-y-1.5" disabled={bench.fixed}>
      <legend class="sr-only">About it</legend>
      <TextField
        label="Called"
        value={it.name ?? ''}
        error={bench.errors[`places.${place}.name`]}
        onchange={(name) =>
          draft.change((d) => d.places[place] && (d.places[place].name = name.trim() || undefined))}
      />
      {#if size}
        <TextField
          label={it.kind === 'obstacle' ? 'Wide' : 'Long'}
          value={size.text}
          error={bench.errors[path]}
          onchange={(text) => bench.edit({ typed: { path, text } })}
        />
      {/if}
      {#if it.kind === 'obstacle'}<PassBy {draft} {place} />{/if}
      {#if it.kind === 'strip' || it.kind === 'rope'}
        <label class="flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            class="checkbox checkbox-sm"
            checked={it.up ?? false}
            onchange={(event) => {
              const up = event.currentTarget.checked || undefined
              draft.change((d) => d.places[place] && (d.places[place].up = up))
            }}
          />
          points up the court
        </label>
      {/if}
    </fieldset>
    {#if detour}<p class="text-sm" role="status">{detour.sentence}</p>{/if}
    {#each follows as caution, i (i)}<p class="text-sm" role="note">{caution}</p>{/each}
    <p class="hint mt-1 text-sm">Drag it, or choose it and use the arrow keys; Places has its lengths.</p>
  </section>
{/if}
