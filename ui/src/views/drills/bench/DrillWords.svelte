<script lang="ts">
  import type { DrillDocument, Vocabulary } from '../../../lib/api/client'
  import type { Draft } from '../../../lib/drafts/draft.svelte'
  import SelectField from '../../../lib/fields/SelectField.svelte'
  import TextField from '../../../lib/fields/TextField.svelte'

  /** What a drill is called, whose ladder it stands on, and what is said and carried. */
  interface Props {
    draft: Draft<DrillDocument>
    vocabulary: Vocabulary | undefined
    builtIn: boolean
  }
  let { draft, vocabulary, builtIn }: Props = $props()
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

<fieldset disabled={builtIn}>
  <legend class="text-lg font-semibold">Name and words</legend>
  <div class="mt-2 grid gap-3 words">
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
</fieldset>
