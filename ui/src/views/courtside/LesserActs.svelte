<script lang="ts">
  import type { Counter } from '../../lib/api/client'
  import type { Tap } from '../../device/runs'
  import { say } from '../../lib/words/say'
  import { otherWay } from './counting'

  /** What is pressed less often than an answer: undo, the time, another way to count, where balls land. */
  interface Props {
    counter: Counter
    /** The count is kept on another device. */
    away: boolean
    way: 'ball' | 'turn'
    noting: boolean
    /** Strokes of the rally that is being counted one by one. */
    strokes: number
    /** Whose count would be undone, where there are several; else empty. */
    whose: string | undefined
    /** Undefined where there is nothing to undo. */
    onundo: (() => void) | undefined
    ontap: (tap: Tap) => void
    onstrokes: (strokes: number) => void
    /** Noting where balls land begins or ends. */
    onnoting: () => void
  }
  let {
    counter,
    away,
    way = $bindable(),
    noting = $bindable(),
    strokes,
    whose,
    onundo,
    ontap,
    onstrokes,
    onnoting,
  }: Props = $props()
</script>

<div class="less">
  <button class="btn big" disabled={!onundo} onclick={() => onundo?.()}
    >{say('courtside.undo')}{#if whose}<span class="block text-sm">{whose}</span>{/if}</button
  >
  {#if counter.timed && !away && !counter.over}
    <button class="btn big" onclick={() => ontap({ kind: 'time is up' })}
      >{say('courtside.time is up')}</button
    >
  {/if}
  {#if strokes > 1}
    <button class="btn big" onclick={() => onstrokes(0)}>{say('courtside.strokes back')}</button>
  {/if}
  {#if counter.again && !away && way === 'ball' && counter.unit !== 'time'}
    <button class="btn big" onclick={() => ontap({ kind: 'played again' })}
      >{say('courtside.play again')}</button
    >
  {/if}
  <button class="btn big" onclick={() => (way = way === 'ball' ? 'turn' : 'ball')}
    >{otherWay(counter.unit, way)}</button
  >
  {#if way === 'ball' && counter.aim && counter.unit === 'ball'}
    <button
      class="btn big"
      aria-pressed={noting}
      onclick={() => {
        noting = !noting
        onnoting()
      }}>{noting ? say('courtside.hide court') : say('courtside.note where')}</button
    >
  {/if}
</div>

<style>
  .big {
    min-height: 48px;
    font-size: 1.05rem;
  }
  .less {
    display: grid;
    grid-auto-flow: column;
    grid-auto-columns: 1fr;
    gap: 0.5rem;
  }
  .less .btn {
    height: auto;
    padding-block: 0.2rem;
    font-size: 0.95rem;
    line-height: 1.1;
    padding-inline: 0.25rem;
  }
  @media (max-width: 400px) {
    .less .btn {
      font-size: 0.82rem;
    }
  }
</style>
