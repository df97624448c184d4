<script lang="ts">
  import type { Point, Shape } from '../lib/api/client'
  import { drawn, type Frame } from './view'

  interface Props {
    shape: Shape
    frame: Frame
    /** Metres to a pixel. */
    px: number
    /** Where its middle is while it is being dragged. */
    centre?: Point
    /** No ball may go here. */
    forbidden?: boolean
    /** Which of several targets it is, from 0: each has a colour and a line of its own. */
    nth?: number
    /** The number of its measure, where there are several. */
    number?: number
  }
  let { shape, frame, px, centre = shape.centre, forbidden = false, nth = 0, number }: Props = $props()
  const id = $props.id()
  const moved = $derived(
    shape.corners.map((c) =>
      drawn(frame, { x: c.x + centre.x - shape.centre.x, y: c.y + centre.y - shape.centre.y }),
    ),
  )
  const middle = $derived(drawn(frame, centre))
  const dashes = [[], [7, 4], [2, 4], [10, 3, 2, 3], [4, 2], [12, 4], [1, 3], [8, 2, 2, 2, 2, 2]]
  const dash = $derived((dashes[nth % dashes.length] ?? []).map((n) => n * px).join(' ') || undefined)
  const colour = $derived(forbidden ? undefined : `var(--measure-${(nth % 8) + 1})`)
  /** Numbers of targets on one place stand side by side. */
  const beside = $derived(((nth % 4) - 1.5) * 18 * px)
  const below = $derived((nth < 4 ? 20 : 38) * px)
  const flat = $derived(shape.kind === 'gate' || shape.kind === 'window' || shape.kind === 'wall band')
</script>

{#if forbidden}
  <pattern
    id="{id}-hatch"
    width={6 * px}
    height={6 * px}
    patternUnits="userSpaceOnUse"
    patternTransform="rotate(45)"
  >
    <line y2={6 * px} class="hatch" stroke-width={2 * px} />
  </pattern>
{/if}
{#if shape.radius > 0}
  <circle
    cx={middle.x}
    cy={middle.y}
    r={Math.max(shape.radius, 4 * px)}
    class="target"
    class:forbidden
    style:--own={colour}
    fill={forbidden ? `url(#${id}-hatch)` : undefined}
    stroke-width={2 * px}
    stroke-dasharray={dash}
  />
{:else if flat}
  <polyline
    points={moved.map((p) => `${p.x},${p.y}`).join(' ')}
    class="flat"
    style:--own={colour}
    stroke-width={7 * px}
  />
  {#if shape.kind === 'gate'}
    {#each moved as post, i (i)}<circle cx={post.x} cy={post.y} r={4 * px} class="post" />{/each}
  {/if}
{:else}
  <polygon
    points={moved.map((p) => `${p.x},${p.y}`).join(' ')}
    class="target"
    class:forbidden
    style:--own={colour}
    fill={forbidden ? `url(#${id}-hatch)` : undefined}
    stroke-width={2 * px}
    stroke-dasharray={dash}
  />
{/if}
{#if number !== undefined}
  <g transform="translate({middle.x + beside} {middle.y + below})" style:--own={colour}>
    <circle r={8 * px} class="number" stroke-width={1.5 * px} />
    <text y={4 * px} font-size={12 * px}>{number}</text>
  </g>
{/if}

<style>
  .target {
    stroke: var(--own, var(--chalk-line));
  }
  .target:not(.forbidden) {
    fill: color-mix(in oklab, var(--own, var(--chalk-line)) 30%, transparent);
  }
  .number {
    fill: var(--on-court);
    stroke: var(--own);
  }
  @media print {
    .number {
      fill: #fff;
    }
  }
  text {
    font-family: var(--font-drum);
    font-weight: 600;
    text-anchor: middle;
    fill: var(--own);
  }
  .forbidden,
  .hatch {
    stroke: var(--on-court);
  }
  .flat {
    fill: none;
    stroke: color-mix(in oklab, var(--own, var(--chalk-line)) 75%, transparent);
  }
  .post {
    fill: var(--on-court);
  }
</style>
