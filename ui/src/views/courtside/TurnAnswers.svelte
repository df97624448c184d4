<script lang="ts">
  import NumberGrid from './NumberGrid.svelte'

  /** How many of a turn were made, once it is over. */
  interface Props {
    /** How many balls a turn has by the plan. */
    planned: number
    onturn: (made: number, of: number) => void
  }
  let { planned, onturn }: Props = $props()
  const most = 60
  /** How many this turn had, where that is another number than planned. */
  let had = $state<number>()
  const turn = $derived(Math.min(had ?? (planned || 1), most))

  function over(made: number) {
    onturn(made, turn)
    had = undefined
  }
</script>

<div class="had">
  <span>Made of</span>
  <button
    class="btn"
    disabled={turn <= 1}
    aria-label="One fewer in this turn"
    onclick={() => (had = turn - 1)}>−</button
  >
  <strong class="drum-digits">{turn}</strong>
  <button
    class="btn"
    disabled={turn >= most}
    aria-label="One more in this turn"
    onclick={() => (had = turn + 1)}>+</button
  >
  <span>in this turn:</span>
</div>
<div class="grid-of-numbers"><NumberGrid most={turn} of="of {turn}" onpick={over} /></div>

<style>
  .had {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    padding-inline: 0.25rem;
  }
  .btn {
    min-width: 48px;
    min-height: 48px;
    font-size: 1.4rem;
  }
  strong {
    font-size: 1.6rem;
  }
  /* Sixty numbers are more than a phone shows at once. */
  .grid-of-numbers {
    min-height: 8.5rem;
    overflow-y: auto;
  }
</style>
