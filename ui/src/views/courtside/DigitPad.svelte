<script lang="ts">
  /** A number is typed by its digits, each under a thumb, and taken. */
  interface Props {
    /** What it counts: one of it, and several. */
    of: [one: string, several: string]
    most: number
    onpick: (n: number) => void
  }
  let { of, most, onpick }: Props = $props()
  let typed = $state('')
  const n = $derived(Number(typed))

  function take() {
    onpick(n)
    typed = ''
  }
</script>

<div class="pad" role="group" aria-label="How many {of[1]}">
  {#each ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'] as digit (digit)}
    <button
      class="btn"
      disabled={Number(typed + digit) > most}
      onclick={() => (typed = typed === '0' ? digit : typed + digit)}
      ><span class="drum-digits">{digit}</span></button
    >
  {/each}
  <button class="btn wide" disabled={!typed} onclick={() => (typed = typed.slice(0, -1))}>Back</button>
  <button class="btn btn-primary take" disabled={!typed} onclick={take}
    >{typed ? `Take ${n} ${of[n === 1 ? 0 : 1]}` : `Type how many ${of[1]}`}</button
  >
</div>

<style>
  .pad {
    display: grid;
    grid-template-columns: repeat(5, minmax(0, 1fr));
    gap: 0.4rem;
  }
  .btn {
    min-height: 56px;
    padding-inline: 0.25rem;
    font-size: 1.6rem;
  }
  .wide {
    grid-column: span 2;
    font-size: 1.1rem;
  }
  .take {
    grid-column: span 3;
    font-size: 1.1rem;
  }
  @media (max-height: 700px) {
    .btn {
      min-height: 44px;
    }
  }
</style>
