<script lang="ts">
  import type { Derivation } from '../api/client'

  interface Props {
    derivation: Derivation | null
    onclose: () => void
  }
  let { derivation, onclose }: Props = $props()
  let dialog = $state<HTMLDialogElement>()

  $effect(() => {
    if (derivation) dialog?.showModal()
  })
</script>

<dialog bind:this={dialog} class="modal" {onclose} aria-labelledby="derivation-title">
  {#if derivation}
    <div class="modal-box">
      <h2 id="derivation-title">{derivation.figure}: {derivation.value}</h2>
      <p class="mt-2">{derivation.formula}</p>
      <dl class="mt-3 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
        {#each derivation.inputs as step, i (i)}
          <dt>{step.name}</dt>
          <dd class="text-right tabular-nums">{step.value}</dd>
        {/each}
      </dl>
      <p class="hint mt-3 text-sm">{derivation.source}</p>
      <p class="mt-2 text-sm">
        <a class="link" href="#/limits" onclick={() => dialog?.close()}>What this model cannot know</a>
      </p>
      <form method="dialog" class="modal-action"><button class="btn">Close</button></form>
    </div>
  {/if}
</dialog>
