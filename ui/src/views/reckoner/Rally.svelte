<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
  import { answer, api, Refusal, why, type RallyAsked, type Derivation } from '../../lib/api/client'
  import { courtsQuery, keys, vocabularyQuery } from '../../lib/page/data'
  import LengthField from '../../lib/fields/LengthField.svelte'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import { remembered } from './remembered.svelte'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import DerivationDialog from '../../lib/parts/DerivationDialog.svelte'
  import { hasNet } from '../../court/kind'

  const vocabulary = vocabularyQuery()
  const courts = courtsQuery()
  const netted = $derived((courts.data ?? []).filter((court) => hasNet(court)))
  const asked = remembered<RallyAsked>('rally', {
    court: 'tennis',
    near: 7.5,
    far: 7.5,
    height: 0.6,
    pace: 'game pace',
    rate: 0.95,
    seconds: 60,
    wanted: 50,
    sets: 2,
    restart: 4,
  })
  let derivation = $state<Derivation | null>(null)
  const query = createQuery(() => ({
    queryKey: keys.rally($state.snapshot(asked)),
    queryFn: () => answer(api.POST('/api/reckoner/rally', { body: $state.snapshot(asked) })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  }))
  const errors = $derived(query.error instanceof Refusal ? query.error.fields : {})
  const rally = $derived(query.error ? undefined : query.data)

  /** On another court the pair stands where it stood in proportion, and plays as much lower. */
  function choose(id: string) {
    const [was, chosen] = [asked.court, id].map((each) => netted.find((court) => court.id === each))
    if (!was || !chosen) return
    const scale = chosen.length / was.length
    const near = (metres: number) => Math.round(20 * metres * scale) / 20
    Object.assign(asked, {
      court: id,
      near: near(asked.near),
      far: near(asked.far),
      height: near(asked.height),
    })
  }
</script>

<p class="hint max-sm:hidden">
  How many balls a minute can a pair reach, and what does a number of balls need?
</p>
<div class="sheet mt-3 max-w-3xl">
  <div class="grid grid-cols-2 gap-3 md:grid-cols-4">
    <SelectField
      label="Court"
      value={asked.court}
      options={netted.map((court) => ({ value: court.id, label: court.name }))}
      error={errors.court}
      onchange={choose}
    />
    <LengthField
      label="One meets it, from the net"
      metres={asked.near}
      error={errors.near}
      onchange={(metres) => (asked.near = metres)}
    />
    <LengthField
      label="The other, from the net"
      metres={asked.far}
      error={errors.far}
      onchange={(metres) => (asked.far = metres)}
    />
    <LengthField
      label="Over the net"
      metres={asked.height}
      error={errors.height}
      onchange={(metres) => (asked.height = metres)}
    />
    <SelectField
      label="Pace, up to"
      value={asked.pace}
      options={vocabulary.data?.paces ?? [asked.pace]}
      error={errors.pace}
      onchange={(pace) => (asked.pace = pace)}
    />
    <SelectField
      label="Met"
      value={asked.volleys ? 'air' : 'bounce'}
      options={[
        { value: 'bounce', label: 'after the bounce' },
        { value: 'air', label: 'out of the air' },
      ]}
      onchange={(met) => (asked.volleys = met === 'air' || undefined)}
    />
    <NumberField
      label="Kept in play"
      unit="of 10"
      step={0.1}
      min={0}
      value={Math.round(asked.rate * 100) / 10}
      error={errors.rate}
      onchange={(v) => (asked.rate = v / 10)}
    />
    <NumberField
      label="Wanted"
      unit="balls"
      min={1}
      value={asked.wanted}
      error={errors.wanted}
      onchange={(v) => (asked.wanted = v)}
    />
    <NumberField
      label="In"
      unit="s"
      step={10}
      min={10}
      value={asked.seconds}
      error={errors.seconds}
      onchange={(v) => (asked.seconds = v)}
    />
    <NumberField
      label="Counted in sets of"
      min={1}
      value={asked.sets}
      error={errors.sets}
      onchange={(v) => (asked.sets = v)}
    />
    <NumberField
      label="A miss costs"
      unit="s"
      step={0.5}
      min={0}
      value={asked.restart}
      error={errors.restart}
      onchange={(v) => (asked.restart = v)}
    />
  </div>
  {#if query.error}
    <p class="text-error mt-3" role="alert">
      {why(query.error)}
    </p>
  {:else if rally}
    <p class="mt-3 text-lg first-letter:uppercase" role="status" aria-label="The answer">{rally.sentence}.</p>
    <button class="link mt-1" onclick={() => (derivation = rally.derivation)}>how this came about</button>
  {/if}
</div>
<DerivationDialog {derivation} onclose={() => (derivation = null)} />
