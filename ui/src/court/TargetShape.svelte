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
  }
  let { shape, frame, px, centre = shape.centre, forbidden = false }: Props = $props()
  const id = $props.id()
  const moved = $derived(
    shape.corners.map((c) =>
      drawn(frame, { x: c.x + centre.x - shape.centre.x, y: c.y + centre.y - shape.centre.y }),
    ),
  )
  const middle = $derived(drawn(frame, centre))
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
    fill={forbidden ? `url(#${id}-hatch)` : undefined}
    stroke-width={2 * px}
  />
{:else if flat}
  <polyline points={moved.map((p) => `${p.x},${p.y}`).join(' ')} class="flat" stroke-width={7 * px} />
  {#if shape.kind === 'gate'}
    {#each moved as post, i (i)}<circle cx={post.x} cy={post.y} r={4 * px} class="post" />{/each}
  {/if}
{:else}
  <polygon
    points={moved.map((p) => `${p.x},${p.y}`).join(' ')}
    class="target"
    class:forbidden
    fill={forbidden ? `url(#${id}-hatch)` : undefined}
    stroke-width={2 * px}
  />
{/if}

<style>
  .target {
    stroke: var(--chalk-line);
  }
  .target:not(.forbidden) {
    fill: color-mix(in oklab, var(--chalk-line) 35%, transparent);
  }
  .forbidden,
  .hatch {
    stroke: var(--on-court);
  }
  .flat {
    fill: none;
    stroke: color-mix(in oklab, var(--chalk-line) 75%, transparent);
  }
  .post {
    fill: var(--on-court);
  }
</style>
