<script lang="ts">
  import type { Report } from '../lib/api/client'
  import { sign, turn, type Ahead } from './view'

  /**
   * What a place looks like: balls are round and numbered, people square, cones told apart by letter, colour and shape.
   */
  interface Props {
    spot: Report['spots'][number]
    ahead: Ahead
    /** Metres to a pixel. */
    px: number
  }
  let { spot, ahead, px }: Props = $props()
  const mark = $derived(sign(spot))
  const met = $derived(spot.handle.endsWith('.contact'))
  const ball = $derived(spot.handle.endsWith('.landing'))
  const cone = $derived(spot.kind === 'cone')
  const flat = $derived(spot.kind === 'strip' || spot.kind === 'rope')
  const nth = $derived(spot.letter ? spot.letter.charCodeAt(0) - 65 : 0)
  /** A triangle, a dome and a block, in pixels. */
  const cones = ['M0 -11L11 9H-11Z', 'M-11 8A11 14 0 0 1 11 8Z', 'M-7 -9H7L10 9H-10Z']
  /** Strips lie flat, ropes and obstacles stand up from the floor. */
  const thick = $derived(Math.max(flat ? 0.1 : 0.3, 3 * px))
</script>

{#if spot.size > 0}<rect
    x={-spot.size / 2}
    y={-thick / 2}
    width={spot.size}
    height={thick}
    class={spot.kind === 'rope' ? 'rope' : 'obstacle'}
    transform="rotate({turn[ahead] + (spot.up ? 90 : 0)})"
    stroke-width={px}
    stroke-dasharray={spot.kind === 'rope' ? `${4 * px} ${3 * px}` : undefined}
  />{/if}
<!-- The rest is drawn in pixels, so that it keeps its size on every court. -->
<g transform="scale({px})">
  {#if mark === '+'}
    <path d="M-7 0H7M0 -7V7" class="cross" stroke-width="3" />
  {:else if mark === '×'}
    <path d="M-5 -5L5 5M-5 5L5 -5" class="cross" stroke-width="3" />
  {:else}
    {#if cone}
      <path
        d={cones[nth % cones.length]}
        class="tag"
        style:fill="var(--measure-{(nth % 8) + 1})"
        stroke-width="1.5"
      />
    {:else if met}
      <path d="M0 -9L9 0L0 9L-9 0Z" class="tag" stroke-width="1.5" />
    {:else if ball || flat}
      <circle r={flat ? 7 : 9} class="tag" stroke-width="1.5" />
    {:else}
      <rect x="-9" y="-9" width="18" height="18" rx="3" class="tag dark" stroke-width="1.5" />
    {/if}
    <text y={cone ? 6.5 : 4.5} font-size={flat ? 11 : 13} class:dark={!ball && !met && !cone && !flat}
      >{mark}</text
    >
  {/if}
  {#if spot.around && spot.around !== 'either'}
    <text y="4.5" x={spot.around === 'left' ? -18 : 18} font-size="16" transform="rotate({turn[ahead]})"
      >{spot.around === 'left' ? '↰' : '↱'}</text
    >
  {/if}
</g>

<style>
  .cross {
    stroke: var(--on-court);
    fill: none;
  }
  .tag {
    fill: var(--tag);
    stroke: var(--on-court);
  }
  .tag.dark {
    fill: var(--on-court);
    stroke: var(--tag);
  }
  .obstacle {
    fill: var(--tag);
    stroke: var(--on-court);
  }
  .rope {
    fill: none;
    stroke: var(--tag);
  }
  text {
    font-family: var(--font-drum);
    font-weight: 600;
    text-anchor: middle;
    fill: #1b120b;
  }
  text.dark {
    fill: var(--tag);
  }
</style>
