<script lang="ts">
  import Field from './Field.svelte'

  interface Props {
    label: string
    value: string
    error?: string
    hint?: string
    type?: 'text' | 'date' | 'time'
    rows?: number
    onchange: (value: string) => void
  }
  let { label, value, error, hint, type = 'text', rows, onchange }: Props = $props()
</script>

<Field {label} {error} {hint}>
  {#snippet control(attributes)}
    {#if rows}
      <textarea
        {...attributes}
        {rows}
        {value}
        class="textarea w-full"
        class:textarea-error={error}
        onchange={(event) => onchange(event.currentTarget.value)}></textarea>
    {:else}
      <input
        {...attributes}
        {type}
        {value}
        autocomplete="off"
        class="input w-full"
        class:input-error={error}
        onchange={(event) => onchange(event.currentTarget.value)}
      />
    {/if}
  {/snippet}
</Field>
