<script lang="ts">
  import type { Working } from './api/client'

  interface Props {
    working: Working | null
    onclose: () => void
  }
  let { working, onclose }: Props = $props()
  let dialog = $state<HTMLDialogElement>()

  $effect(() => {
    if (working) dialog?.showModal()
  })
</script>

<dialog bind:this={dialog} class="modal" {onclose} aria-labelledby="working-title">
  {#if working}
    <div class="modal-box">
      <h2 id="working-title">{working.figure}: {working.value}</h2>
      <p class="mt-2">{working.formula}</p>
      <dl class="mt-3 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
        {#each working.inputs as step, i (i)}
          <dt>{step.name}</dt>
          <dd class="text-right tabular-nums">{step.value}</dd>
        {/each}
      </dl>
      <p class="hint mt-3 text-sm">{working.source}</p>
      <form method="dialog" class="modal-action"><button class="btn">Close</button></form>
    </div>
  {/if}
</dialog>
