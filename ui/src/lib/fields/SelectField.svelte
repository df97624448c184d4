<script lang="ts" generics="T extends string">
  import Field from './Field.svelte'

  interface Props {
    label: string
    value: T
    options: readonly (T | { value: T; label: string })[]
    error?: string
    hint?: string
    /** Over the whole row of a grid. */
    wide?: boolean
    onchange: (value: T) => void
  }
  let { label, value, options, error, hint, wide, onchange }: Props = $props()
  const choices = $derived(options.map((o) => (typeof o === 'string' ? { value: o, label: o } : o)))
</script>

<Field {label} {error} {hint} {wide}>
  {#snippet control(attributes)}
    <select
      {...attributes}
      {value}
      class="select w-full"
      class:select-error={error}
      onchange={(event) => onchange(event.currentTarget.value as unknown as T)}
    >
      {#each choices as choice (choice.value)}<option value={choice.value}>{choice.label}</option>{/each}
    </select>
  {/snippet}
</Field>
