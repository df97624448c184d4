<script lang="ts">
  import { drawn, type Frame } from '../court/view'
  import NumberSign from './NumberSign.svelte'
  import type { Sector } from '../lib/api/client'

  /** What can be played from a place or two, as sectors in chalk with the middle between the widest balls. */
  interface Props {
    sectors: Sector[]
    frame: Frame
    /** Metres to a pixel. */
    px: number
  }
  let { sectors, frame, px }: Props = $props()
  const pt = (p: { x: number; y: number }) => drawn(frame, p)
  const patterns = ['', '7 5']
</script>

<g aria-hidden="true">
  {#each sectors as sector, i (i)}
    {@const from = pt(sector.from)}
    {@const left = pt(sector.left.to)}
    {@const right = pt(sector.right.to)}
    {@const wait = pt(sector.wait)}
    {@const dashes = patterns[i]
      ?.split(' ')
      .map((n) => Number(n) * px || '')
      .join(' ')}
    <path
      d="M{left.x} {left.y}L{from.x} {from.y}L{right.x} {right.y}"
      class="sector"
      stroke-width={2.5 * px}
      stroke-dasharray={dashes}
    />
    <line
      x1={from.x}
      y1={from.y}
      x2={wait.x}
      y2={wait.y}
      class="middle"
      stroke-width={1.5 * px}
      stroke-dasharray="{2 * px} {4 * px}"
    />
    <NumberSign at={wait} text={i === 0 ? 'a' : 'b'} {px} />
  {/each}
</g>

<style>
  .sector {
    fill: color-mix(in oklab, var(--chalk-line) 16%, transparent);
    stroke: var(--chalk-line);
    stroke-linejoin: round;
  }
  .middle {
    stroke: var(--feed);
  }
</style>
