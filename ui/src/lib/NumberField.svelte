<script lang="ts">
  import Field from './Field.svelte'

  interface Props {
    label: string
    value: number
    unit?: string
    step?: number
    min?: number
    error?: string
    onchange: (value: number) => void
  }
  let { label, value, unit = '', step = 1, min, error, onchange }: Props = $props()
  let unread = $state('')

  function read(text: string) {
    const number = Number(text.replace(',', '.'))
    unread = text.trim() === '' || !Number.isFinite(number) ? 'a number was expected' : ''
    if (!unread) onchange(number)
  }
</script>

<Field {label} error={unread || error}>
  {#snippet control(attributes)}
    <span class="input w-full" class:input-error={unread || error}>
      <input
        {...attributes}
        type="number"
        inputmode="decimal"
        {step}
        {min}
        {value}
        onchange={(event) => read(event.currentTarget.value)}
      />
      {#if unit}<span class="hint text-sm whitespace-nowrap">{unit}</span>{/if}
    </span>
  {/snippet}
</Field>
