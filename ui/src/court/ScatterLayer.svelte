<script lang="ts">
  import type { Aimed } from '../lib/api/client'
  import { drawn, type Frame } from './view'

  /**
   * Where a player's balls land about their aim: logged places as dots, else ellipses for half of them and nine of ten.
   */
  interface Props {
    aimed: Aimed
    frame: Frame
    /** Metres to a pixel. */
    px: number
  }
  let { aimed, frame, px }: Props = $props()
  /** Radii, in standard deviations, that hold half and nine tenths of a bivariate normal distribution. */
  const rings = [1.177, 2.146]
  const steps = 48
  const round = $derived((radius: number) => {
    const { x, y, sx, sy, rho } = aimed.scatter
    return Array.from({ length: steps }, (_, i) => {
      const [u, v] = [Math.cos((2 * Math.PI * i) / steps), Math.sin((2 * Math.PI * i) / steps)]
      const at = drawn(frame, {
        x: aimed.at.x + x + radius * sx * u,
        y: aimed.at.y + y + radius * sy * (rho * u + Math.sqrt(1 - rho * rho) * v),
      })
      return `${at.x.toFixed(3)},${at.y.toFixed(3)}`
    }).join(' ')
  })
</script>

<g aria-hidden="true">
  {#if !aimed.upright}
    {#each rings as radius, i (i)}
      <polygon points={round(radius)} stroke-width={1.25 * px} stroke-dasharray="{1.5 * px} {3 * px}" />
    {/each}
    {#each aimed.landings as landing, i (i)}
      {@const at = drawn(frame, landing)}
      <circle cx={at.x} cy={at.y} r={(aimed.landings.length > 60 ? 1.6 : 2.5) * px} />
    {/each}
  {/if}
</g>

<style>
  polygon {
    fill: color-mix(in oklab, var(--chalk-line) 12%, transparent);
    stroke: var(--chalk-line);
  }
  circle {
    fill: var(--ball);
    stroke: var(--on-court);
    stroke-width: 0.02;
  }
</style>
