<script lang="ts">
  import type { Court, Shape } from '../lib/api/client'
  import { drawn, lies, wallFeet, type Frame } from './view'

  /** The walls of a court laid flat outwards, with their lines and the band that is aimed at. */
  interface Props {
    court: Court
    /** Of the measures; bands are drawn. */
    targets: Shape[]
    frame: Frame
    /** Metres to a pixel. */
    px: number
  }
  let { court, targets, frame, px }: Props = $props()
  const walls = $derived(wallFeet(court))
  const bands = $derived(
    targets.flatMap((target) => {
      const [left, right] = target.corners
      if (target.kind !== 'wall band' || !left || !right) return []
      const foot = court.length / 2
      const corners = [
        { x: left.x, y: foot + target.low },
        { x: right.x, y: foot + target.low },
        { x: right.x, y: foot + target.high },
        { x: left.x, y: foot + target.high },
      ]
      return corners
        .map((p) => drawn(frame, p))
        .map((p) => `${p.x},${p.y}`)
        .join(' ')
    }),
  )
</script>

{#each walls as wall, i (i)}
  {@const from = drawn(frame, wall.from)}
  {@const to = drawn(frame, wall.to)}
  <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke-width={2 * px}><title>{wall.name}</title></line>
  {#if wall.side === 'front' || wall.side === 'back'}
    <text
      y={-4 * px}
      font-size={11 * px}
      transform="translate({(from.x + to.x) / 2} {(from.y + to.y) / 2}) rotate({lies(frame.ahead) ? 90 : 0})"
      >{wall.name}</text
    >
  {/if}
{/each}
{#each bands as band, i (i)}<polygon points={band} stroke-width={2 * px} />{/each}

<style>
  line {
    stroke: var(--chalk-line);
  }
  text {
    font-family: var(--font-drum);
    text-anchor: middle;
    fill: var(--chalk-line);
  }
  polygon {
    stroke: var(--chalk-line);
    fill: color-mix(in oklab, var(--chalk-line) 35%, transparent);
  }
</style>
