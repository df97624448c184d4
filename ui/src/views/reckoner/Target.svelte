<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
  import Court from '../../court/Court.svelte'
  import ScatterLayer from '../../court/ScatterLayer.svelte'
  import type { Frame } from '../../court/view'
  import { answer, api, Refusal, why, type TargetAsked, type Derivation } from '../../lib/api/client'
  import { courtsQuery, keys, levelsOf, vocabularyQuery } from '../../lib/page/data'
  import LengthField from '../../lib/fields/LengthField.svelte'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import { remembered } from './remembered.svelte'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import DerivationDialog from '../../lib/parts/DerivationDialog.svelte'

  const vocabulary = vocabularyQuery()
  const courts = courtsQuery()
  /** A mark as it is usually set on a full tennis court; on others in proportion. */
  const usual = { back: 2, side: 1.4, radius: 1.4 }
  const asked = remembered<TargetAsked>('target', {
    court: 'tennis',
    level: 'club player',
    ...usual,
    errors: 0.15,
    hit: 0.7,
  })
  let derivation = $state<Derivation | null>(null)
  const query = createQuery(() => ({
    queryKey: keys.target($state.snapshot(asked)),
    queryFn: () => answer(api.POST('/api/reckoner/target', { body: $state.snapshot(asked) })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  }))
  const errors = $derived(query.error instanceof Refusal ? query.error.fields : {})
  const target = $derived(query.error ? undefined : query.data)
  const fit = $derived(target?.playerFit.measures[0])
  /** The first message below a path of the target. */
  const under = (path: string) => Object.entries(errors).find(([at]) => at.startsWith(path))?.[1]

  function choose(id: string) {
    const chosen = courts.data?.find((court) => court.id === id)
    const full = courts.data?.find((court) => court.id === 'tennis')
    if (!chosen || !full) return
    const [along, across] = [chosen.length / full.length, chosen.singles / full.singles]
    const near = (metres: number) => Math.round(100 * metres) / 100
    Object.assign(asked, {
      court: id,
      back: near(usual.back * along),
      side: near(usual.side * across),
      radius: near(usual.radius * Math.min(along, across)),
    })
  }
</script>

{#snippet scatter(frame: Frame, px: number)}
  {#if fit?.target}<ScatterLayer aimed={fit.target} {frame} {px} />{/if}
{/snippet}
<p class="hint max-sm:hidden">
  What becomes of balls aimed at a mark, where to aim, and how large a target suits?
</p>
<div class="sheet mt-3 grid max-w-4xl gap-4 md:grid-cols-[minmax(0,1fr)_14rem]">
  <div>
    <div class="grid grid-cols-2 gap-3 md:grid-cols-3">
      <SelectField
        label="Court"
        value={asked.court}
        options={(courts.data ?? []).map((court) => ({ value: court.id, label: court.name }))}
        onchange={choose}
      />
      <SelectField
        label="Player"
        value={asked.level}
        options={levelsOf(
          vocabulary.data,
          courts.data?.find((court) => court.id === asked.court)?.sport,
          asked.level,
        )}
        onchange={(level) => (asked.level = level)}
      />
      <LengthField
        label="Within"
        metres={asked.radius}
        error={under('target.radius')}
        onchange={(metres) => (asked.radius = metres)}
      />
      <LengthField
        label="In from the end"
        metres={asked.back}
        error={under('target.mark') ?? errors.back}
        onchange={(metres) => (asked.back = metres)}
      />
      <LengthField
        label="In from the right"
        metres={asked.side}
        error={errors.side}
        onchange={(metres) => (asked.side = metres)}
      />
      <NumberField
        label="Errors, at most"
        unit="of 10"
        step={0.5}
        min={0}
        value={Math.round(asked.errors * 100) / 10}
        error={errors.errors}
        onchange={(v) => (asked.errors = v / 10)}
      />
      <NumberField
        label="To be hit"
        unit="of 10"
        step={0.5}
        min={0}
        value={Math.round(asked.hit * 100) / 10}
        error={errors.hit}
        onchange={(v) => (asked.hit = v / 10)}
      />
    </div>
    {#if query.error}
      <p class="text-error mt-3" role="alert">
        {why(query.error)}
      </p>
    {:else if target && fit}
      <p class="mt-3 text-lg first-letter:uppercase" role="status" aria-label="The answer">
        {fit.target?.sentence ?? fit.why}.
      </p>
      <p class="mt-1">{target.aim.words}</p>
      <p class="mt-1 first-letter:uppercase">{target.size.words}</p>
      {#if fit.target}<button class="link mt-1" onclick={() => (derivation = fit?.target?.derivation ?? null)}
          >how this came about</button
        >{/if}
    {/if}
  </div>
  {#if target}<div class="drawn">
      <Court
        report={target.report}
        label="The mark on {target.report.court.name}"
        under={scatter}
        crop="all"
      />
    </div>{/if}
</div>
<DerivationDialog {derivation} onclose={() => (derivation = null)} />

<style>
  .drawn :global(svg) {
    width: 100%;
    min-width: 0;
  }
</style>
