<script lang="ts">
  import NumberInput from '../../../lib/fields/NumberInput.svelte'

  /** A number within a sentence. */
  interface Props {
    label: string
    value: number
    min?: number
    max?: number
    onchange: (value: number) => void
  }
  let { label, value, min = 1, max, onchange }: Props = $props()
  let wrong = $state('')
  const id = $props.id()
</script>

<NumberInput
  class="input input-sm w-16 {wrong ? 'input-error' : ''}"
  aria-label={label}
  aria-describedby={wrong ? `${id}-wrong` : undefined}
  {min}
  {max}
  {value}
  onnumber={(number) => number !== undefined && onchange(number)}
  onwrong={(why) => (wrong = why)}
/>{#if wrong}<span id="{id}-wrong" class="text-error text-sm" role="alert">{wrong}</span>{/if}
