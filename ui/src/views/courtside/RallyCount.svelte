<script lang="ts">
  import DigitPad from './DigitPad.svelte'
  import type { Tap } from '../../device/runs'

  /** A rally is counted stroke by stroke, or afterwards by its number. */
  interface Props {
    /** From how many strokes on a rally is stopped; 0 where none is. */
    tooLong: number
    /** By its number, once the rally is over. */
    byNumber: boolean
    /** Those of the rally that is on. */
    strokes: number
    onstrokes: (n: number) => void
    ontap: (tap: Tap) => void
  }
  let { tooLong, byNumber, strokes, onstrokes, ontap }: Props = $props()
  /** As many strokes as a rally can have. */
  const most = 500
  const stopped = (n: number) => tooLong > 0 && n >= tooLong

  function over(n: number) {
    onstrokes(0)
    ontap(stopped(n) ? { kind: 'rally', strokes: n, stopped: true } : { kind: 'rally', strokes: n })
  }
</script>

{#if byNumber}
  <DigitPad {most} of={['stroke', 'strokes']} onpick={over} />
{:else}
  <div class="rally">
    <button
      class="stroke"
      disabled={strokes >= most}
      onclick={() => onstrokes(strokes + 1)}
      aria-label="One more stroke"
    >
      <span class="drum-digits" aria-live="polite">{strokes}</span>
      <span>{strokes === 1 ? 'stroke' : 'strokes'}: tap for each</span>
    </button>
    <button class="over" onclick={() => over(strokes)}
      >{stopped(strokes) ? 'Too long: stop it' : 'Rally over'}</button
    >
  </div>
{/if}

<style>
  .rally {
    display: grid;
    grid-template-columns: 1.4fr 1fr;
    gap: 0.5rem;
  }
  .stroke,
  .over {
    min-height: 96px;
    border-radius: var(--radius-box);
    font-weight: 700;
    cursor: pointer;
  }
  .stroke {
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    background: var(--color-success);
    color: var(--color-success-content);
  }
  .stroke .drum-digits {
    font-size: 2.6rem;
  }
  .over {
    font-size: 1.3rem;
    border: 4px solid var(--color-error);
    color: var(--color-error);
  }
</style>
