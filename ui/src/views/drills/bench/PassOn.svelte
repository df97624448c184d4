<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api, describe } from '../../../lib/api/client'
  import { copy } from '../../../lib/words/copy'
  import { keys } from '../../../lib/page/data'
  import QRCode from '../../../lib/parts/QRCode.svelte'

  /** A drill is handed out as a file, as a line, or as a code. */
  interface Props {
    id: string
    name: string
  }
  let { id, name }: Props = $props()
  let dialog = $state<HTMLDialogElement>()
  let shown = $state(false)
  const query = createQuery(() => ({
    queryKey: [...keys.drill(id), 'code'],
    queryFn: () => answer(api.GET('/api/drills/{id}/code', { params: { path: { id } } })),
    enabled: shown,
    gcTime: 0,
  }))

  function open() {
    shown = true
    dialog?.showModal()
  }
</script>

<button class="btn btn-sm" onclick={open}>Hand out</button>
<dialog bind:this={dialog} class="modal" aria-labelledby="pass-title" onclose={() => (shown = false)}>
  <div class="modal-box">
    <h2 id="pass-title">Hand {name} out</h2>
    <p class="hint text-sm">It is brought in under Drills, Bring in, on any machine with Hodometer.</p>
    <p class="mt-3 flex flex-wrap gap-2">
      <a class="btn" href="/api/out/drill/{id}.json" download>As a file (.json)</a>
      <a class="btn" href="/api/out/drill/{id}.pdf?paper=A5" download>As a card, A5 (.pdf)</a>
      <a class="btn" href="/api/out/drill/{id}.pdf?paper=A6" download>As a card, A6 (.pdf)</a>
      <a class="btn" href="/api/out/drill/{id}.png" download>Its court (.png)</a>
      <a class="btn" href="/api/out/drill/{id}.svg" download>Its court (.svg)</a>
    </p>
    {#if query.data}
      {@const code = query.data}
      <h3 class="mt-4 font-semibold">As a line, to be sent in a message</h3>
      {#if code.line}
        <p class="line mt-1"><code>{code.line}</code></p>
        <p class="mt-1 flex flex-wrap items-center gap-2">
          <button class="btn btn-sm" onclick={() => copy(code.line, 'the line')}>Copy the line</button>
          <span class="hint text-sm">The pattern and what is aimed at; goals and words stay here.</span>
        </p>
      {:else}
        <p class="hint mt-1 text-sm">
          It has places of its own that do not fit in a line: hand it out as a file or a code.
        </p>
      {/if}
      <h3 class="mt-4 font-semibold">As a code, for a camera</h3>
      <p class="mt-1"><QRCode rows={code.qr} label="QR code with {name}" /></p>
      <p class="hint text-sm">All of it, for the camera of another machine or a picture of this screen.</p>
    {:else if query.error}
      <p class="text-error mt-3" role="alert">{describe(query.error)}</p>
    {/if}
    <form method="dialog" class="modal-action"><button class="btn">Close</button></form>
  </div>
</dialog>

<style>
  .line {
    max-height: 8rem;
    overflow: auto;
  }
  code {
    overflow-wrap: anywhere;
    font-size: 0.875rem;
  }
</style>
