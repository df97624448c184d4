<script lang="ts">
  import type { Derivation, Sum } from '../api/client'

  interface Props {
    derivation: Derivation | null
    onclose: () => void
  }
  let { derivation, onclose }: Props = $props()
  let dialog = $state<HTMLDialogElement>()

  $effect(() => {
    if (derivation) dialog?.showModal()
  })

  const signs: Record<Sum['join'], string> = {
    added: '+',
    less: '−',
    times: '×',
    shared: '÷',
    filled: '÷',
    largest: 'or',
  }
  const ends: Partial<Record<Sum['join'], string>> = { filled: ', rounded up', largest: ', the largest' }
</script>

<dialog bind:this={dialog} class="modal" {onclose} aria-labelledby="derivation-title">
  {#if derivation}
    <div class="modal-box">
      <h2 id="derivation-title">{derivation.figure}: {derivation.value}</h2>
      {#if derivation.formula}<p class="mt-2">{derivation.formula}</p>{/if}
      {#each derivation.sums ?? [] as sum, k (k)}
        <dl class="sum mt-3 grid grid-cols-[1.5rem_1fr_auto] gap-x-2 gap-y-1">
          {#each sum.parts as part, i (i)}
            <dt class="contents">
              <span class="text-center">{i > 0 ? signs[sum.join] : ''}</span>
              <span>{part.name}</span>
            </dt>
            <dd class="text-right tabular-nums">{part.text} {part.unit}</dd>
          {/each}
          <dt class="contents font-semibold">
            <span class="gives text-center">=</span>
            <span class="gives">{sum.gives.name}{ends[sum.join] ?? ''}</span>
          </dt>
          <dd class="gives text-right font-semibold tabular-nums">{sum.gives.text} {sum.gives.unit}</dd>
        </dl>
      {/each}
      {#if derivation.inputs.length}
        <dl class="mt-3 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
          {#each derivation.inputs as step, i (i)}
            <dt>{step.name}</dt>
            <dd class="text-right tabular-nums">{step.value}</dd>
          {/each}
        </dl>
      {/if}
      <p class="hint mt-3 text-sm">{derivation.source}</p>
      <p class="mt-2 text-sm">
        <a class="link" href="#/limits" onclick={() => dialog?.close()}>What this model cannot know</a>
      </p>
      <form method="dialog" class="modal-action"><button class="btn">Close</button></form>
    </div>
  {/if}
</dialog>

<style>
  .gives {
    border-top: 1px solid color-mix(in oklab, currentColor 40%, transparent);
    padding-top: 0.2rem;
  }
</style>
