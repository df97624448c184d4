<script lang="ts">
  import type { Derivation, Progress } from '../../lib/api/client'
  import DerivationDialog from '../../lib/parts/DerivationDialog.svelte'

  /** Strokes that were counted in games beside the same strokes in drills: does what works in drills work in games? */
  interface Props {
    strokes: Progress['inGames']
  }
  let { strokes }: Props = $props()
  let open = $state<Derivation | null>(null)
  type Done = Progress['inGames'][number]['games']
  const balls = (done: Done) => done.made + done.missed
  const share = (done: Done) => (balls(done) ? done.made / balls(done) : 0)
</script>

{#snippet bar(where: string, done: Done)}
  <div class="row">
    <span>{where}</span>
    <span class="track"><span class="fill" style:width="{100 * share(done)}%"></span></span>
    <span
      ><span class="drum-digits">{(10 * share(done)).toFixed(1)}</span> of 10
      <span class="hint text-sm">({done.made} of {balls(done)})</span></span
    >
  </div>
{/snippet}

{#if strokes.length}
  <section class="sheet" aria-labelledby="in-games">
    <h2 id="in-games">From drills to games</h2>
    <p class="hint text-sm">
      Of the last 120 days. In drills the target is mostly smaller; in games it is enough to be in.
    </p>
    {#each strokes as { stroke, games, transfer } (stroke)}
      <div class="mt-3">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <h3 class="font-semibold capitalize">{stroke}</h3>
          {#if transfer}<button class="link ml-auto text-sm" onclick={() => (open = transfer.derivation)}
              >How this came about</button
            >{/if}
        </div>
        {#if transfer}{@render bar('Drills', transfer.drills)}{/if}
        {@render bar('Games', games)}
        <p class="mt-1 text-sm first-letter:uppercase">
          {#if transfer}{transfer.between.sentence}; {transfer.sure}.{:else}Not counted in a drill of late.{/if}
        </p>
      </div>
    {/each}
  </section>
  <DerivationDialog derivation={open} onclose={() => (open = null)} />
{/if}

<style>
  .row {
    display: grid;
    grid-template-columns: 3.5rem minmax(2rem, 1fr) minmax(0, 10.5rem);
    align-items: center;
    gap: 0.6rem;
  }
  .track {
    height: 0.7rem;
    background: var(--color-base-300);
    border-radius: var(--radius-field);
    overflow: hidden;
  }
  .fill {
    display: block;
    height: 100%;
    background: var(--color-primary);
  }
</style>
