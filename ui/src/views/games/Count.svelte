<script lang="ts">
  import { readNumber } from '../../lib/fields/numbers'

  /** A whole number within a sentence. */
  interface Props {
    label: string
    value: number
    min?: number
    max?: number
    error?: string
    disabled?: boolean
    onchange: (value: number) => void
  }
  let { label, value, min = 0, max = 100, error = '', disabled = false, onchange }: Props = $props()
  let wrong = $state('')
  const id = $props.id()

  function read(text: string) {
    const n = readNumber(text)
    const good = n !== undefined && Number.isInteger(n) && n >= min && n <= max
    wrong = good ? '' : `a whole number from ${min} to ${max}`
    if (good) onchange(n)
  }
</script>

<input
  class="count"
  class:wrong={wrong || error}
  inputmode="numeric"
  aria-label={label}
  aria-invalid={Boolean(wrong || error)}
  aria-describedby={wrong || error ? `${id}-wrong` : undefined}
  {value}
  {disabled}
  onchange={(event) => read(event.currentTarget.value)}
/>{#if wrong || error}<span id="{id}-wrong" class="text-error text-sm" role="alert">{wrong || error}</span
  >{/if}

<style>
  .count {
    width: 3rem;
    min-height: 1.9rem;
    text-align: center;
    font-weight: 600;
    border-bottom: 2px solid var(--color-primary);
    background: var(--color-base-200);
  }
  .count.wrong {
    border-color: var(--color-error);
  }
  .count:disabled {
    border-bottom-style: dotted;
  }
</style>
