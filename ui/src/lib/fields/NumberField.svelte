<script lang="ts">
  import Field from './Field.svelte'
  import NumberInput from './NumberInput.svelte'

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
</script>

<Field {label} error={unread || error}>
  {#snippet control(attributes)}
    <span class="input w-full" class:input-error={unread || error}>
      <NumberInput
        {...attributes}
        {step}
        {min}
        {value}
        onnumber={(number) => number !== undefined && onchange(number)}
        onwrong={(why) => (unread = why)}
      />
      {#if unit}<span class="hint text-sm whitespace-nowrap">{unit}</span>{/if}
    </span>
  {/snippet}
</Field>
