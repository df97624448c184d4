<script lang="ts">
  import type { DrillDocument } from '../../../lib/api/client'
  import type { Draft } from '../../../lib/drafts/draft.svelte'
  import NumberField from '../../../lib/fields/NumberField.svelte'

  /** How the balls of a turn follow one another. */
  interface Props {
    draft: Draft<DrillDocument>
    builtIn: boolean
    errors: Record<string, string>
  }
  let { draft, builtIn, errors }: Props = $props()
  const drill = $derived(draft.document)
</script>

<fieldset disabled={builtIn} class="grid grid-cols-3 items-end gap-2">
  <legend class="sr-only">The turn</legend>
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
</fieldset>
