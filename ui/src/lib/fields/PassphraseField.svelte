<script lang="ts">
  import Field from './Field.svelte'

  /** A passphrase: it can be pasted, filled in by the browser, and looked at. */
  interface Props {
    label: string
    value: string
    /** The one that goes, or a new one: browsers keep them apart. */
    which: 'current' | 'new'
    error?: string
    hint?: string
  }
  let { label, value = $bindable(), which, error, hint }: Props = $props()
  let shown = $state(false)
</script>

<Field {label} {error} {hint}>
  {#snippet control(attributes)}
    <div class="flex gap-2">
      <input
        {...attributes}
        type={shown ? 'text' : 'password'}
        bind:value
        autocomplete="{which}-password"
        autocapitalize="off"
        spellcheck="false"
        class="input w-full"
        class:input-error={error}
      />
      <button class="btn" type="button" aria-pressed={shown} onclick={() => (shown = !shown)}
        >{shown ? 'Hide' : 'Show'}<span class="sr-only"> what is typed in {label}</span></button
      >
    </div>
  {/snippet}
</Field>
