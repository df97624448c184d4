<script lang="ts">
  import type { DrillDocument } from '../../lib/api/client'
  import type { Draft } from '../../lib/drafts/draft.svelte'
  import SelectField from '../../lib/SelectField.svelte'

  interface Props {
    draft: Draft<DrillDocument>
    builtIn: boolean
  }
  let { draft, builtIn }: Props = $props()
  const counts = $derived(draft.document.counts ?? {})
  const marks = [
    { key: 'noCount', label: 'A bad feed or a let can be marked: played again, counts for nobody' },
    { key: 'misses', label: 'Misses are marked net, long or wide' },
    { key: 'choices', label: 'Right or wrong choice is marked apart from made or missed' },
  ] as const
</script>

<fieldset disabled={builtIn} class="flex flex-col gap-2">
  <legend class="sr-only">What counts as made</legend>
  <div class="max-w-xs">
    <SelectField
      label="A ball is made for"
      value={counts.by ?? 'landing'}
      options={[
        { value: 'landing', label: 'where it lands' },
        { value: 'movement', label: 'how the player moved' },
        { value: 'both', label: 'both together' },
      ]}
      hint="Out is never made."
      onchange={(by) => draft.change((d) => (d.counts = { ...d.counts, by }))}
    />
  </div>
  {#each marks as mark (mark.key)}
    <label class="flex items-start gap-2">
      <input
        type="checkbox"
        class="checkbox checkbox-sm"
        checked={counts[mark.key] ?? false}
        onchange={(event) => {
          const on = event.currentTarget.checked
          draft.change((d) => (d.counts = { ...d.counts, [mark.key]: on }))
        }}
      />
      {mark.label}
    </label>
  {/each}
</fieldset>
