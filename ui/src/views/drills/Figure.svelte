<script lang="ts">
  /** A number within a sentence. */
  interface Props {
    label: string
    value: number
    min?: number
    max?: number
    onchange: (value: number) => void
  }
  let { label, value, min = 1, max, onchange }: Props = $props()
</script>

<input
  class="input input-sm w-16"
  type="number"
  inputmode="numeric"
  aria-label={label}
  {min}
  {max}
  {value}
  onchange={(event) => {
    const number = Number(event.currentTarget.value)
    if (event.currentTarget.value.trim() !== '' && Number.isFinite(number)) onchange(number)
    else event.currentTarget.value = String(value)
  }}
/>
