<script lang="ts">
  import type { DrillDocument, Vocabulary } from '../../lib/api/client'
  import type { Draft } from '../../lib/drafts/draft.svelte'
  import NumberField from '../../lib/NumberField.svelte'
  import SelectField from '../../lib/SelectField.svelte'
  import TextField from '../../lib/TextField.svelte'

  interface Props {
    draft: Draft<DrillDocument>
    vocabulary: Vocabulary | undefined
    builtIn: boolean
    people: number
  }
  let { draft, vocabulary, builtIn, people = $bindable() }: Props = $props()
  const drill = $derived(draft.document)
  const errors = $derived(draft.fields)
  const ladders = $derived(
    vocabulary?.sports.find((each) => each.sport === drill.sport)?.ladders ?? [drill.stroke],
  )
  const lines = (text: string) =>
    text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean)
  /** The first error of a list or of one of its lines. */
  const under = (path: string) =>
    Object.entries(errors).find(([at]) => at === path || at.startsWith(`${path}.`))?.[1]
</script>

<section class="sheet" aria-labelledby="numbers">
  <div class="flex items-start gap-4">
    <h2 id="numbers" class="flex-1">Counts and times</h2>
    <div class="w-40">
      <NumberField
        label="Worked out for"
        unit={people === 1 ? 'player' : 'players'}
        min={1}
        value={people}
        onchange={(v) => (people = Math.min(12, Math.max(1, Math.round(v))))}
      />
    </div>
  </div>
  <fieldset disabled={builtIn} class="mt-2 grid grid-cols-2 gap-3 md:grid-cols-4">
    <legend class="sr-only">Counts and times</legend>
    <NumberField
      label="Gap between balls"
      unit="s"
      step={0.1}
      value={drill.pattern.gap}
      error={errors['pattern.gap']}
      onchange={(v) => draft.change((d) => (d.pattern.gap = v))}
    />
    <NumberField
      label="Sequences a turn"
      value={drill.pattern.sequences}
      error={errors['pattern.sequences']}
      onchange={(v) => draft.change((d) => (d.pattern.sequences = v))}
    />
    <NumberField
      label="Pause after each"
      unit="s"
      step={0.5}
      value={drill.pattern.pause}
      error={errors['pattern.pause']}
      onchange={(v) => draft.change((d) => (d.pattern.pause = v))}
    />
    <NumberField
      label="Turns each"
      value={drill.turns}
      error={errors.turns}
      onchange={(v) => draft.change((d) => (d.turns = v))}
    />
    <NumberField
      label="Set-up, explaining"
      unit="s"
      step={5}
      value={drill.setUp}
      error={errors.setUp}
      onchange={(v) => draft.change((d) => (d.setUp = v))}
    />
    <NumberField
      label="Effort out of 10"
      value={drill.effort}
      error={errors.effort}
      onchange={(v) => draft.change((d) => (d.effort = v))}
    />
  </fieldset>
</section>
{#if !builtIn}
  <details class="sheet">
    <summary class="cursor-pointer text-lg font-semibold">Name and words</summary>
    <div class="mt-3 grid gap-3 md:grid-cols-2">
      <TextField
        label="Name"
        live
        value={drill.name}
        error={errors.name}
        onchange={(v) => draft.change((d) => (d.name = v))}
      />
      <TextField
        label="In a sentence"
        live
        value={drill.summary}
        error={errors.summary}
        onchange={(v) => draft.change((d) => (d.summary = v))}
      />
      <SelectField
        label="Counts for the"
        value={drill.stroke}
        options={ladders}
        error={errors.stroke}
        hint="Whose ladder it stands on; a measure can have its own."
        onchange={(stroke) => draft.change((d) => (d.stroke = stroke))}
      />
      <SelectField
        label="On the rung"
        value={drill.rung}
        options={vocabulary?.rungs ?? [drill.rung]}
        error={errors.rung}
        onchange={(rung) => draft.change((d) => (d.rung = rung))}
      />
      <TextField
        label="Cues, one a line"
        rows={3}
        value={drill.cues.join('\n')}
        error={under('cues')}
        onchange={(v) => draft.change((d) => (d.cues = lines(v)))}
      />
      <TextField
        label="Cautions, one a line"
        rows={3}
        value={drill.cautions.join('\n')}
        error={under('cautions')}
        onchange={(v) => draft.change((d) => (d.cautions = lines(v)))}
      />
      <TextField
        label="Equipment, one a line"
        rows={3}
        value={drill.equipment.join('\n')}
        error={under('equipment')}
        onchange={(v) => draft.change((d) => (d.equipment = lines(v)))}
      />
    </div>
  </details>
{/if}
