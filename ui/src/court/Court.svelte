<script lang="ts">
  import type { Point, Report } from '../lib/api/client'
  import { drawn, frameOf, placeAt } from './view'

  interface Props {
    report: Report
    label: string
    /** Only the drawing, for a list. */
    small?: boolean
    /** How far an arrow key moves a place, and with Shift, in metres. */
    nudge?: number
    nudgeFine?: number
    /** A place was moved: it is still being dragged, was dropped, or was nudged with a key. */
    onmove?: (handle: string, to: Point, how: 'dragged' | 'dropped' | 'nudged') => void
  }
  let { report, label, small = false, nudge = 0.1, nudgeFine = 0.01, onmove }: Props = $props()

  let svg = $state<SVGSVGElement>()
  let width = $state(320)
  let dragged = $state<{ handle: string; at: Point } | null>(null)

  const frame = $derived(frameOf(report.court))
  /** Metres to a pixel, so that signs keep their size on every court. */
  const px = $derived(frame.width / width)
  const patterns = ['', '6 4', '2 4', '10 3 2 3']
  const at = (handle: string, place: Point) => drawn(dragged?.handle === handle ? dragged.at : place)
  const landing = (number: number, place: Point) => at(`pattern.balls.${number - 1}`, place)
  const dashes = (i: number) =>
    (patterns[i % patterns.length] ?? '')
      .split(' ')
      .map((n) => Number(n) * px || '')
      .join(' ')

  function grab(event: PointerEvent, handle: string, place: Point) {
    if (!onmove || event.button !== 0) return
    event.preventDefault()
    const target = event.currentTarget as SVGGElement
    target.setPointerCapture(event.pointerId)
    target.focus()
    dragged = { handle, at: place }
  }

  function drag(event: PointerEvent) {
    if (!dragged || !svg) return
    dragged = { ...dragged, at: placeAt(frame, svg.getBoundingClientRect(), event.clientX, event.clientY) }
    onmove?.(dragged.handle, dragged.at, 'dragged')
  }

  function drop() {
    if (!dragged) return
    onmove?.(dragged.handle, dragged.at, 'dropped')
    dragged = null
  }

  function key(event: KeyboardEvent, handle: string, place: Point) {
    const step = event.shiftKey ? nudgeFine : nudge
    const moves: Record<string, Point> = {
      ArrowUp: { x: 0, y: step },
      ArrowDown: { x: 0, y: -step },
      ArrowLeft: { x: -step, y: 0 },
      ArrowRight: { x: step, y: 0 },
    }
    const by = moves[event.key]
    if (!by || !onmove) return
    event.preventDefault()
    onmove(handle, { x: place.x + by.x, y: place.y + by.y }, 'nudged')
  }

  const sign = (handle: string, text: string) =>
    handle.startsWith('pattern')
      ? String(Number(handle.split('.').at(-1)) + 1)
      : (text[0]?.toUpperCase() ?? '')
</script>

<svg
  bind:this={svg}
  bind:clientWidth={width}
  viewBox="{frame.x} {frame.y} {frame.width} {frame.height}"
  role={small ? 'img' : 'group'}
  aria-label={label}
  class="court rounded-box"
  class:whole={!small}
  style:--shape={frame.width / frame.height}
>
  <rect x={frame.x} y={frame.y} width={frame.width} height={frame.height} class="ground" />
  <rect
    x={-report.court.width / 2}
    y={-report.court.length / 2}
    width={report.court.width}
    height={report.court.length}
    class="surface"
  />
  {#each report.court.lines as line (line.id)}
    <line
      x1={line.from.x}
      y1={-line.from.y}
      x2={line.to.x}
      y2={-line.to.y}
      class={line.id === 'net' ? 'net' : 'line'}
      stroke-width={(line.id === 'net' ? 3 : 2) * px}
    />
  {/each}

  {#if report.target.kind === 'circle'}
    {@const centre = at('target', report.target.centre)}
    <circle cx={centre.x} cy={centre.y} r={report.target.radius} class="target" stroke-width={2 * px} />
  {:else}
    <polygon
      points={report.target.corners.map((c) => `${c.x},${-c.y}`).join(' ')}
      class="target"
      stroke-width={2 * px}
    />
  {/if}

  {#each report.feeds as feed, i (feed.number)}
    {@const from = at(report.spots.find((s) => s.label === 'feeder')?.handle ?? '', feed.from)}
    {@const to = landing(feed.number, feed.landing)}
    <line
      x1={from.x}
      y1={from.y}
      x2={to.x}
      y2={to.y}
      class="feed"
      stroke-width={1.75 * px}
      stroke-dasharray={dashes(i)}
    />
  {/each}

  {#each small ? [] : report.spots as spot (spot.handle)}
    {@const place = at(spot.handle, spot.at)}
    {@const ball = spot.handle.startsWith('pattern')}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <g
      role={onmove ? 'button' : 'img'}
      aria-label="{spot.label}: {spot.said}"
      tabindex={onmove ? 0 : undefined}
      class="spot"
      class:movable={onmove}
      transform="translate({place.x} {place.y})"
      onpointerdown={(event) => grab(event, spot.handle, spot.at)}
      onpointermove={drag}
      onpointerup={drop}
      onpointercancel={drop}
      onkeydown={(event) => key(event, spot.handle, spot.at)}
    >
      <circle r={16 * px} class="reach" />
      {#if ball}
        <circle r={9 * px} class="tag" stroke-width={1.5 * px} />
      {:else if spot.label === 'target'}
        <path d="M{-7 * px} 0H{7 * px}M0 {-7 * px}V{7 * px}" class="cross" stroke-width={3 * px} />
      {:else}
        <rect
          x={-9 * px}
          y={-9 * px}
          width={18 * px}
          height={18 * px}
          rx={3 * px}
          class="tag dark"
          stroke-width={1.5 * px}
        />
      {/if}
      {#if spot.label !== 'target'}
        <text y={4.5 * px} font-size={13 * px} class:dark={!ball}>{sign(spot.handle, spot.label)}</text>
      {/if}
    </g>
  {/each}
</svg>

<style>
  .court {
    display: block;
    width: 100%;
    height: auto;
    touch-action: none;
    user-select: none;
  }
  /* On a desk the whole court is seen at once, above the drums. */
  @media (min-width: 901px) {
    .whole {
      width: calc((100dvh - 18rem) * var(--shape));
      min-width: 15rem;
      max-width: 24rem;
    }
  }
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
    stroke: var(--on-court);
  }
  .target {
    fill: color-mix(in oklab, var(--chalk-line) 35%, transparent);
    stroke: var(--chalk-line);
  }
  .cross {
    stroke: var(--on-court);
    fill: none;
  }
  .feed {
    stroke: var(--on-court);
  }
  .reach {
    fill: transparent;
  }
  .tag {
    fill: var(--tag);
    stroke: var(--on-court);
  }
  .tag.dark {
    fill: var(--on-court);
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
  .movable {
    cursor: grab;
  }
  .spot:focus-visible {
    outline: none;
  }
  .spot:focus-visible .reach {
    stroke: var(--tag);
    stroke-width: 0.12;
    fill: color-mix(in oklab, var(--on-court) 35%, transparent);
  }
</style>
