<script lang="ts">
  import type { Court, Point } from '../lib/api/client'
  import { drawn, drawnBox, type Frame } from './view'

  /** The surface of a court, its lines and its net. */
  interface Props {
    court: Court
    /** Lines that are not to be stepped on, by their identifiers. */
    forbidden: string[]
    frame: Frame
    /** Metres to a pixel. */
    px: number
  }
  let { court, forbidden, frame, px }: Props = $props()
  const pt = (p: Point) => drawn(frame, p)
</script>

<rect width={frame.width} height={frame.height} class="ground" />
<rect {...drawnBox(frame, { x: 0, y: 0 }, court.width, court.length)} class="surface" />
{#each court.lines as line (line.id)}
  {@const from = pt(line.from)}
  {@const to = pt(line.to)}
  <line
    x1={from.x}
    y1={from.y}
    x2={to.x}
    y2={to.y}
    class={line.id === 'net' ? 'net' : forbidden.includes(line.id) ? 'line forbidden' : 'line'}
    stroke-width={(line.id === 'net' || forbidden.includes(line.id) ? 3 : 2) * px}
    stroke-dasharray={forbidden.includes(line.id) ? `${3 * px} ${4 * px}` : undefined}
  />
{/each}

<style>
  .ground {
    fill: var(--ground);
  }
  .surface {
    fill: var(--surface);
  }
  .line {
    stroke: var(--chalk-line);
    stroke-linecap: square;
  }
  .net {
    stroke: var(--net);
  }
  .forbidden {
    stroke: var(--on-court);
  }
</style>
