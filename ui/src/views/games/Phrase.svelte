<script lang="ts">
  /** A few words of the coach's own within a sentence. */
  interface Props {
    label: string
    value: string
    placeholder?: string
    /** How wide it is at most. */
    wide?: string
    maxlength?: number
    disabled?: boolean
    onchange: (text: string) => void
  }
  let {
    label,
    value,
    placeholder = '',
    wide = '22rem',
    maxlength = 120,
    disabled = false,
    onchange,
  }: Props = $props()
</script>

<input
  class="phrase"
  style:width="min({wide}, 100%)"
  aria-label={label}
  {placeholder}
  {maxlength}
  {value}
  {disabled}
  onchange={(event) => onchange(event.currentTarget.value.trim())}
/>

<style>
  .phrase {
    min-height: 1.9rem;
    padding: 0 0.4rem;
    font-weight: 600;
    border-bottom: 2px solid var(--color-primary);
    background: var(--color-base-200);
  }
  .phrase:disabled {
    border-bottom-style: dotted;
  }
</style>
