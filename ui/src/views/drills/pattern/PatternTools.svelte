<script lang="ts">
  import type { DrillEdit, Vocabulary } from '../../../lib/api/client'
  import NumberField from '../../../lib/fields/NumberField.svelte'
  import SelectField from '../../../lib/fields/SelectField.svelte'
  import type { Bench } from '../bench/bench.svelte'
  import { atTable, hasNet } from '../../../court/kind'

  /** Whole patterns that are made at once: the other wing, through the depths, to the corners. */
  interface Props {
    bench: Bench
    vocabulary: Vocabulary
  }
  let { bench, vocabulary }: Props = $props()
  const words = $derived(vocabulary.sports.find((each) => each.sport === bench.draft.document.sport))
  const exchange = $derived(
    bench.report !== undefined && hasNet(bench.report.court) && !atTable(bench.report.court),
  )
  let open = $state<'' | 'tour' | 'corners'>('')
  let stroke = $state('')
  let by = $state<'seconds' | 'balls'>('seconds')
  let seconds = $state(20)
  let balls = $state(5)
  let back = $state(true)
  let oneBall = $state(false)
  let listed = $state(false)
  let clock = $state(20)

  function tour() {
    const each = oneBall || by === 'balls' ? { balls } : { seconds }
    make({ tour: { ...each, back, oneBall, stroke: (stroke || undefined) as never } })
  }

  function make(edit: DrillEdit) {
    open = ''
    bench.chosen = ''
    bench.edit(edit)
  }
</script>

<div class="no-print mt-2 flex flex-wrap gap-2">
  <button class="btn btn-sm" onclick={() => bench.apply({ kind: 'other wing' })}>Other wing</button>
  <button class="btn btn-sm" onclick={() => bench.apply({ kind: 'reverse' })}>The other way round</button>
  <button
    class="btn btn-sm"
    aria-expanded={open === 'tour'}
    onclick={() => (open = open === 'tour' ? '' : 'tour')}>Through the depths…</button
  >
  <button
    class="btn btn-sm"
    aria-expanded={open === 'corners'}
    onclick={() => (open = open === 'corners' ? '' : 'corners')}>To the corners…</button
  >
</div>
{#if open === 'tour'}
  <form
    class="rounded-box border-base-300 mt-2 grid grid-cols-2 items-end gap-2 border p-3"
    aria-label="Through the depths"
    onsubmit={(event) => (event.preventDefault(), tour())}
  >
    <SelectField
      label="Stroke everywhere"
      value={stroke}
      options={[{ value: '', label: 'as usual there' }, ...(words?.strokes ?? [])]}
      onchange={(value) => (stroke = value)}
    />
    {#if !oneBall}
      <SelectField
        label="In each region"
        value={by}
        options={['seconds', 'balls']}
        onchange={(value) => (by = value)}
      />
    {/if}
    {#if oneBall || by === 'balls'}
      <NumberField
        label="Balls in each"
        min={1}
        value={balls}
        onchange={(value) => (balls = Math.round(value))}
      />
    {:else}
      <NumberField
        label="Seconds in each"
        unit="s"
        min={1}
        value={seconds}
        onchange={(value) => (seconds = value)}
      />
    {/if}
    <label class="flex items-center gap-2 text-sm"
      ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={back} /> and out again</label
    >
    {#if exchange}
      <label class="flex items-center gap-2 text-sm"
        ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={oneBall} /> with one ball, played back</label
      >
    {/if}
    <button class="btn btn-sm btn-primary" type="submit">Make it</button>
  </form>
{:else if open === 'corners'}
  <form
    class="rounded-box border-base-300 mt-2 grid grid-cols-2 items-end gap-2 border p-3"
    aria-label="To the corners"
    onsubmit={(event) => (event.preventDefault(), make({ corners: { seconds: clock, listed } }))}
  >
    <NumberField
      label="On the clock (0: one round)"
      unit="s"
      min={0}
      value={clock}
      onchange={(value) => (clock = value)}
    />
    <label class="flex items-center gap-2 text-sm"
      ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={listed} /> in order, not at random</label
    >
    <button class="btn btn-sm btn-primary" type="submit">Make it</button>
  </form>
{/if}
