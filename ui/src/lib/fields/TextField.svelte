<script lang="ts">
  import Field from './Field.svelte'

  interface Props {
    label: string
    value: string
    error?: string
    hint?: string
    type?: 'text' | 'date' | 'time'
    rows?: number
    /** Handed on while it is typed, at every pause, so that nothing typed is lost with the page. */
    live?: boolean
    onchange: (value: string) => void
  }
  let { label, value, error, hint, type = 'text', rows, live = false, onchange }: Props = $props()
  const typingPause = 500
  let timer: ReturnType<typeof setTimeout> | undefined

  function typed(text: string) {
    clearTimeout(timer)
    if (live) timer = setTimeout(() => onchange(text), typingPause)
  }

  function done(text: string) {
    clearTimeout(timer)
    onchange(text)
  }
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
        oninput={(event) => typed(event.currentTarget.value)}
        onchange={(event) => done(event.currentTarget.value)}></textarea>
    {:else}
      <input
        {...attributes}
        {type}
        {value}
        autocomplete="off"
        class="input w-full"
        class:input-error={error}
        oninput={(event) => typed(event.currentTarget.value)}
        onchange={(event) => done(event.currentTarget.value)}
      />
    {/if}
  {/snippet}
</Field>
