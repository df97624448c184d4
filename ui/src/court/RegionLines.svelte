<script lang="ts">
  import type { Court, Regions } from '../lib/api/client'
  import { drawn, lies, type Frame } from './view'
  import { hasNet } from './kind'

  interface Props {
    regions: Regions
    court: Court
    frame: Frame
    /** Metres to a pixel. */
    px: number
  }
  let { regions, court, frame, px }: Props = $props()
  /** Without a net depth is counted from the front wall, and there is one end only. */
  const oneFloor = $derived(!hasNet(court))
  const front = $derived(oneFloor ? court.length / 2 : 0)
  const ends = $derived(oneFloor ? [-1] : [-1, 1])
  const edge = $derived(court.width / 2 + court.runOff.side)
  const borders = $derived(
    ends.flatMap((end) =>
      regions.bands.map((band, i) => ({
        key: `${end} ${i}`,
        last: i === regions.bands.length - 1,
        stop: oneFloor ? front - band.to : end * band.to,
        middle: oneFloor ? front - (band.from + band.to) / 2 : (end * (band.from + band.to)) / 2,
        label: `${band.number} ${band.name}`,
      })),
    ),
  )
</script>

<g class="regions" aria-hidden="true">
  {#each borders as border (border.key)}
    {@const left = drawn(frame, { x: -edge, y: border.stop })}
    {@const right = drawn(frame, { x: edge, y: border.stop })}
    {@const middle = drawn(frame, { x: 0, y: border.middle })}
    {#if !border.last}<line
        x1={left.x}
        y1={left.y}
        x2={right.x}
        y2={right.y}
        stroke-width={1.5 * px}
        stroke-dasharray="{5 * px} {4 * px}"
      />{/if}
    {#if lies(frame.ahead)}
      <text x={middle.x} y={14 * px} font-size={12 * px} text-anchor="middle">{border.label}</text>
    {:else}
      <text x={3 * px} y={middle.y + 4 * px} font-size={12 * px}>{border.label}</text>
    {/if}
  {/each}
  {#each [-1, 1] as side (side)}
    {@const far = drawn(frame, { x: (side * court.singles) / 6, y: court.length / 2 + court.runOff.back })}
    {@const near = drawn(frame, { x: (side * court.singles) / 6, y: -court.length / 2 - court.runOff.back })}
    <line
      x1={far.x}
      y1={far.y}
      x2={near.x}
      y2={near.y}
      stroke-width={px}
      stroke-dasharray="{2 * px} {5 * px}"
    />
  {/each}
</g>

<style>
  line {
    stroke: var(--on-court);
  }
  text {
    font-family: var(--font-drum);
    font-weight: 600;
    fill: var(--on-court);
  }
</style>
