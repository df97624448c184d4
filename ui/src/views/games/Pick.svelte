<script lang="ts" generics="T extends string">
  /** A choice within a sentence. */
  interface Props {
    label: string
    value: T
    options: readonly { value: T; label: string }[]
    disabled?: boolean
    onchange: (value: T) => void
  }
  let { label, value, options, disabled = false, onchange }: Props = $props()
</script>

<select
  class="pick"
  aria-label={label}
  {value}
  {disabled}
  onchange={(event) => onchange(event.currentTarget.value as unknown as T)}
>
  {#each options as option (option.value)}<option value={option.value}>{option.label}</option>{/each}
</select>

<style>
  .pick {
    max-width: 100%;
    min-height: 1.9rem;
    padding: 0 0.25rem;
    font-weight: 600;
    border-bottom: 2px solid var(--color-primary);
    background: var(--color-base-200);
    color: inherit;
  }
  .pick:disabled {
    border-bottom-style: dotted;
  }
</style>
