<script lang="ts">
  import NumberField from '../../lib/fields/NumberField.svelte'
  import TextField from '../../lib/fields/TextField.svelte'
  import type { Planner } from './planner.svelte'

  interface Props {
    planner: Planner
  }
  let { planner }: Props = $props()
  const draft = $derived(planner.draft)
</script>

<section class="sheet" aria-labelledby="booking">
  <h2 id="booking">Booking</h2>
  <div class="mt-2 grid gap-3 sm:grid-cols-2">
    <TextField
      label="Title"
      live
      value={draft.document.title}
      error={draft.fields.title}
      onchange={(v) => draft.change((d) => (d.title = v))}
    />
    <NumberField
      label="Length"
      unit="min"
      step={5}
      value={draft.document.minutes}
      error={draft.fields.minutes}
      onchange={(v) => draft.change((d) => (d.minutes = v))}
    />
    <TextField
      label="Day"
      type="date"
      value={draft.document.date}
      error={draft.fields.date}
      onchange={(v) => draft.change((d) => (d.date = v))}
    />
    <TextField
      label="Start"
      type="time"
      value={draft.document.start}
      error={draft.fields.start}
      onchange={(v) => draft.change((d) => (d.start = v))}
    />
    <div class="sm:col-span-2">
      <TextField
        label="Note for the sheet"
        live
        rows={2}
        value={draft.document.note}
        error={draft.fields.note}
        onchange={(v) => draft.change((d) => (d.note = v))}
      />
    </div>
    <TextField
      label="Which court"
      hint="Two lessons on it at one time are told"
      live
      value={draft.document.space.name ?? ''}
      error={draft.fields['space.name']}
      onchange={(v) => draft.change((d) => (d.space = { ...d.space, name: v || undefined }))}
    />
  </div>
</section>
