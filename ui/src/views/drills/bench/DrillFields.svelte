<script lang="ts">
  import type { DrillDocument } from '../../../lib/api/client'
  import type { Draft } from '../../../lib/drafts/draft.svelte'
  import NumberField from '../../../lib/fields/NumberField.svelte'

  /** How many take part, how often, and what it costs them. */
  interface Props {
    draft: Draft<DrillDocument>
    builtIn: boolean
    people: number
  }
  let { draft, builtIn, people = $bindable() }: Props = $props()
  const drill = $derived(draft.document)
  const errors = $derived(draft.fields)
</script>

<section aria-labelledby="numbers">
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
  <fieldset disabled={builtIn} class="mt-2 grid grid-cols-2 gap-3">
    <legend class="sr-only">Counts and times</legend>
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
