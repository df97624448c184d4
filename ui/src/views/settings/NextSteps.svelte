<script lang="ts">
  import type { Draft } from '../../lib/drafts/draft.svelte'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import type { Settings } from '../../lib/api/client'

  /** When the next step of a student is clear; 0 in the document is what is usual, and shown as that. */
  interface Props {
    draft: Draft<Settings['settings']>
  }
  let { draft }: Props = $props()
  const usual = { wanted: 6.75, up: 9, back: 1 }
  const own = $derived(draft.document.steps ?? { wanted: 0, up: 0, back: 0 })
  const parts = [
    { key: 'wanted', label: 'A rung is reached with', unit: 'of 10 at its standard task', step: 0.25 },
    { key: 'up', label: 'A student goes up where that is likely', unit: 'in 10', step: 0.5 },
    { key: 'back', label: 'And back where it is likely only', unit: 'in 10', step: 0.5 },
  ] as const
</script>

<section class="sheet mt-4 max-w-2xl" aria-labelledby="next-steps">
  <h2 id="next-steps">The next step of a student</h2>
  <p class="hint mt-1 text-sm">
    Every rung has a standard task: one ball that is fed alike everywhere, and a part of the court. How likely
    it is that a student makes it so often, by all that was counted, says when they go up or back.
  </p>
  <div class="mt-3 grid gap-4 sm:grid-cols-2">
    {#each parts as part (part.key)}
      <NumberField
        label={part.label}
        unit={part.unit}
        step={part.step}
        min={0}
        value={own[part.key] || usual[part.key]}
        error={draft.fields[`steps.${part.key}`]}
        onchange={(value) => draft.change((d) => (d.steps = { ...own, [part.key]: value }))}
      />
    {/each}
  </div>
</section>
