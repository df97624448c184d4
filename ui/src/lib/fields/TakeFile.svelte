<script lang="ts">
  import { describe, Refusal } from '../api/client'

  interface Props {
    /** What the file is, and what endings it has. */
    label: string
    accept: string
    /** What can be pasted instead, and what reads it. */
    paste: string
    act: string
    read: (file: Blob) => Promise<void>
  }
  let { label, accept, paste, act, read }: Props = $props()
  const id = $props.id()
  let wrong = $state('')
  let reading = $state(false)
  let over = $state(false)
  let pasted = $state('')

  async function take(file: Blob | null | undefined) {
    if (!file) return
    wrong = ''
    reading = true
    try {
      await read(file)
    } catch (error) {
      wrong = error instanceof Refusal ? (error.problem.fields[0]?.message ?? error.message) : describe(error)
    } finally {
      reading = false
    }
  }

  function dropped(event: DragEvent) {
    event.preventDefault()
    over = false
    void take(event.dataTransfer?.files[0])
  }

  /** What is pasted anywhere on the page is taken. */
  function pastedAnywhere(event: ClipboardEvent) {
    if (event.target instanceof HTMLElement && event.target.closest('input, textarea')) return
    const text = event.clipboardData?.getData('text/plain')
    const file = event.clipboardData?.files[0]
    if (file ?? text) void take(file ?? new Blob([text ?? '']))
  }
</script>

<svelte:window onpaste={pastedAnywhere} />

<div
  class="sheet drop mt-4"
  class:over
  role="group"
  aria-label="What to bring in"
  ondragover={(event) => (event.preventDefault(), (over = true))}
  ondragleave={() => (over = false)}
  ondrop={dropped}
>
  <div>
    <label class="font-medium" for="{id}-file">{label}</label>
    <input
      id="{id}-file"
      class="file-input mt-1 w-full max-w-md"
      type="file"
      {accept}
      disabled={reading}
      onchange={async (event) => {
        const input = event.currentTarget
        await take(input.files?.[0])
        input.value = '' // the same file can be chosen again
      }}
    />
    <p class="hint mt-1 text-sm">
      Choose it, or drop it here. It is read on your machine and goes nowhere else.
    </p>
  </div>
  <div>
    <label class="font-medium" for="{id}-paste">{paste}</label>
    <textarea id="{id}-paste" class="textarea mt-1 w-full max-w-md" rows="2" bind:value={pasted}></textarea>
    <p>
      <button
        class="btn btn-sm mt-1"
        disabled={!pasted.trim() || reading}
        onclick={() => void take(new Blob([pasted]))}>{act}</button
      >
    </p>
  </div>
  {#if wrong}<p class="text-error" role="alert">{wrong}.</p>{/if}
</div>

<style>
  .drop {
    display: grid;
    gap: 1rem;
    grid-template-columns: repeat(auto-fit, minmax(min(18rem, 100%), 1fr));
    border-style: dashed;
    border-width: 2px;
  }
  .over {
    border-color: var(--color-primary);
  }
  [role='alert'] {
    grid-column: 1 / -1;
  }
</style>
