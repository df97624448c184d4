<script lang="ts">
  import type { Counter } from '../../lib/api/client'

  /** Whose turn is counted, and at which measure. */
  interface Props {
    people: Counter[]
    chosen: number
    onchoose: (person: Counter) => void
    /** Those of the one whose turn it is, measure by measure. */
    own: Counter[]
    counter: Counter
    onmeasure: (measure: number) => void
  }
  let { people, chosen, onchoose, own, counter, onmeasure }: Props = $props()
</script>

{#if people.length > 1}
  <div class="people" class:many={people.length > 5} role="group" aria-label="Whose turn">
    {#each people as each, i (each.student)}
      <button
        class="btn"
        class:btn-primary={i === chosen}
        aria-pressed={i === chosen}
        onclick={() => onchoose(each)}>{each.shared || each.short}</button
      >
    {/each}
  </div>
{/if}
{#if own.length > 1}
  <div class="people" role="group" aria-label="Which measure">
    {#each own as each (each.measure)}
      <button
        class="btn"
        class:btn-primary={each === counter}
        aria-pressed={each === counter}
        onclick={() => onmeasure(each.measure)}
        ><span class="drum-digits">{each.measure}</span>{each.standing.met ? ' ✓' : ''}<span class="sr-only"
          >&nbsp;{each.called}</span
        ></button
      >
    {/each}
  </div>
  <p class="px-1 font-semibold first-letter:uppercase">{counter.called}</p>
{/if}

<style>
  .people {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(3.4rem, 1fr));
    gap: 0.3rem;
  }
  .people.many {
    grid-template-columns: repeat(6, minmax(0, 1fr));
  }
  .btn {
    min-height: 48px;
    padding-inline: 0.15rem;
    overflow: hidden;
    font-size: 1rem;
  }
  .many .btn {
    font-size: 0.85rem;
  }
</style>
