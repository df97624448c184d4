<script lang="ts" generics="T extends string">
  /** A choice within a sentence. */
  interface Props {
    label: string
    /** undefined for what is usual. */
    value: T | undefined
    /** What stands for what is usual; empty where there is nothing of the kind. */
    usual?: string
    options: readonly (T | { value: T; label: string })[]
    onchange: (value: T | undefined) => void
  }
  let { label, value, usual = '', options, onchange }: Props = $props()
  const choices = $derived(options.map((o) => (typeof o === 'string' ? { value: o, label: o } : o)))
</script>

<select
  class="select select-sm w-auto"
  aria-label={label}
  value={value ?? ''}
  onchange={(event) => onchange((event.currentTarget.value || undefined) as T | undefined)}
>
  {#if usual}<option value="">{usual}</option>{/if}
  {#each choices as choice (choice.value)}<option value={choice.value}>{choice.label}</option>{/each}
</select>
