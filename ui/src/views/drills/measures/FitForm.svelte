<script lang="ts">
  import NumberInput from '../../../lib/fields/NumberInput.svelte'
  /** A button that fits something to a number: "Fit the goal to 6 min". */
  interface Props {
    button: string
    /** What the number is, for those who do not see the words round it. */
    label: string
    value: number
    min: number
    max: number
    step: number
    /** The words before and after the number. */
    before: string
    after: string
    onfit: (value: number) => void
  }
  let { button, label, value, min, max, step, before, after, onfit }: Props = $props()
  // The number is only where to begin.
  // svelte-ignore state_referenced_locally
  let wanted = $state(value)
  let wrong = $state('')
</script>

<form
  class="no-print mt-2 flex flex-wrap items-center gap-2"
  onsubmit={(event) => (event.preventDefault(), wrong || onfit(wanted))}
>
  <button class="btn btn-sm">{button}</button>
  <label class="flex items-center gap-2 text-sm"
    >{before}
    <NumberInput
      class="input input-sm w-20 {wrong ? 'input-error' : ''}"
      {min}
      {max}
      {step}
      aria-label={label}
      value={wanted}
      onnumber={(number) => (wanted = number ?? wanted)}
      onwrong={(why) => (wrong = why)}
    />
    {after}</label
  >
  {#if wrong}<p class="text-error text-sm" role="alert">{wrong}</p>{/if}
</form>
