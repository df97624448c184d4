<script lang="ts">
  import type { Snippet } from 'svelte'
  import type { Point, Regions, Report } from '../lib/api/client'
  import CriterionMark from './CriterionMark.svelte'
  import FeedLines from './FeedLines.svelte'
  import Ground from './Ground.svelte'
  import Panels from './Panels.svelte'
  import RegionLines from './RegionLines.svelte'
  import SpotSign from './SpotSign.svelte'
  import TargetShape from './TargetShape.svelte'
  import WallLines from './WallLines.svelte'
  import {
    drawn,
    frameOf,
    onCourt,
    placeAt,
    snap,
    type Ahead,
    type Crop,
    type Drawing,
    type Frame,
    type Snapped,
  } from './view'

  interface Props {
    report: Drawing
    label: string
    /** Only the drawing, for a list. */
    small?: boolean
    crop?: Crop
    /** Where the near player looks on the page. */
    ahead?: Ahead
    regions?: Regions
    /** How far an arrow key moves a place, and with Shift, in metres. */
    nudge?: number
    nudgeFine?: number
    /** A place was moved: it is still being dragged, was dropped, or was nudged with a key. */
    onmove?: (handle: string, place: Snapped, how: 'dragged' | 'dropped' | 'nudged') => void
    /** A sign was pressed, and not moved. */
    onpress?: (handle: string) => void
    /** A place on the court was pointed at. */
    onpoint?: (place: Point) => void
    /** More to be drawn under the signs; px is metres to a pixel. */
    under?: Snippet<[Frame, number]>
    /** More spots that can be moved. */
    more?: Report['spots']
  }
  let {
    report,
    label,
    small = false,
    crop = 'all',
    ahead = 'up',
    regions,
    nudge = 0.1,
    nudgeFine = 0.01,
    onmove,
    onpress,
    onpoint,
    under,
    more = [],
  }: Props = $props()

  let svg = $state<SVGSVGElement>()
  /** Where the drawing lies on the screen while a mark is dragged. */
  let drawingBox = new DOMRect()
  let width = $state(320)
  let dragged = $state<(Snapped & { handle: string }) | null>(null)

  /** A new report of the same court draws none of its lines anew. */
  const court = $derived(report.court)
  const frame = $derived(frameOf(court, crop, ahead))
  /** Metres to a pixel, so that signs keep their size on every court. */
  const px = $derived(frame.width / (width || 320))
  const pt = (p: Point) => drawn(frame, p)
  const shown = $derived((p: Point) => {
    const at = pt(p)
    return at.x >= 0 && at.x <= frame.width && at.y >= 0 && at.y <= frame.height
  })
  /** Pixels within which a line or another mark draws a place to itself. */
  const snapping = 7
  const at = (handle: string, place: Point) => (dragged?.handle === handle ? dragged.to : place)
  const feeder = $derived(report.spots.find((spot) => spot.kind === 'feeder')?.handle ?? '')

  function grab(event: PointerEvent, handle: string, place: Point) {
    if (!onmove || event.button !== 0) return
    event.preventDefault()
    const target = event.currentTarget as SVGGElement
    target.setPointerCapture(event.pointerId)
    target.focus({ preventScroll: true })
    drawingBox = svg?.getBoundingClientRect() ?? drawingBox
    pointer = undefined
    dragged = { handle, to: place }
  }

  /** The place under a pixel of the screen; undefined beside the court. */
  export function placeUnder(clientX: number, clientY: number): Point | undefined {
    const box = svg?.getBoundingClientRect()
    if (!box || clientX < box.left || clientX > box.right || clientY < box.top || clientY > box.bottom)
      return undefined
    return placeAt(frame, box, clientX, clientY)
  }

  /** Where signs can be moved, pressing one of them does not point at the court. */
  function point(event: MouseEvent) {
    if (onmove && (event.target as Element).closest('.spot')) return
    if (svg) onpoint?.(placeAt(frame, svg.getBoundingClientRect(), event.clientX, event.clientY))
  }

  let pointer: { x: number; y: number; alt: boolean } | undefined
  let frameAsked = 0

  /** Several movements within one frame of the screen count as the last of them. */
  function drag(event: PointerEvent) {
    if (!dragged) return
    pointer = { x: event.clientX, y: event.clientY, alt: event.altKey }
    if (!frameAsked) frameAsked = requestAnimationFrame(follow)
  }

  function follow() {
    frameAsked = 0
    if (!dragged || !pointer) return
    const place = placeAt(frame, drawingBox, pointer.x, pointer.y)
    dragged = {
      handle: dragged.handle,
      ...snap(place, report, dragged.handle, pointer.alt ? 0 : snapping * px),
    }
    onmove?.(dragged.handle, dragged, 'dragged')
  }

  function drop() {
    if (!dragged) return
    cancelAnimationFrame(frameAsked)
    follow()
    if (pointer) onmove?.(dragged.handle, dragged, 'dropped')
    else onpress?.(dragged.handle)
    pointer = undefined
    dragged = null
  }

  /** Presses that follow quickly add up, also before the answer to the first one has come. */
  let nudged = { handle: '', to: { x: 0, y: 0 }, at: 0 }
  const quick = 800

  function key(event: KeyboardEvent, handle: string, place: Point) {
    const step = event.shiftKey ? nudgeFine : nudge
    const moves: Record<string, Point> = {
      ArrowUp: { x: 0, y: -step },
      ArrowDown: { x: 0, y: step },
      ArrowLeft: { x: -step, y: 0 },
      ArrowRight: { x: step, y: 0 },
    }
    const pushed = moves[event.key]
    if (onmove && event.key === 'Enter') onpress?.(handle)
    if (!pushed || !onmove) return
    event.preventDefault()
    const by = onCourt(ahead, pushed)
    const base = nudged.handle === handle && event.timeStamp - nudged.at < quick ? nudged.to : place
    nudged = { handle, to: { x: base.x + by.x, y: base.y + by.y }, at: event.timeStamp }
    onmove(handle, { to: nudged.to }, 'nudged')
  }
</script>

<svg
  bind:this={svg}
  bind:clientWidth={width}
  viewBox="0 0 {frame.width} {frame.height}"
  role={small ? 'img' : 'group'}
  aria-label={label}
  class="court rounded-box"
  class:whole={!small}
  style:--shape={frame.width / frame.height}
  onclick={onpoint && point}
>
  <Ground {court} forbidden={report.noGoLines} {frame} {px} />
  {#if crop === 'walls'}<WallLines
      {court}
      targets={report.measures.flatMap(({ target }) => target ?? [])}
      {frame}
      {px}
    />{/if}
  <Panels {court} {frame} {px} />
  {#if regions}<RegionLines {regions} {court} {frame} {px} />{/if}

  {#each report.noGo as shape, i (i)}<TargetShape {shape} {frame} {px} forbidden />{/each}
  {#each report.measures as { number, target }, i (number)}
    {#if target}<TargetShape
        shape={target}
        {frame}
        {px}
        nth={i}
        number={report.measures.length > 1 ? number : undefined}
        centre={at(`measures.${i}.target.mark`, target.centre)}
      />{/if}
  {/each}

  {#each report.measures.flatMap((each) => each.criteria ?? []) as criterion, i (i)}
    <CriterionMark {criterion} {court} {frame} {px} />
  {/each}

  {@render under?.(frame, px)}
  <FeedLines feeds={report.feeds} {feeder} {at} {frame} {px} />

  <!-- The guides are always there, since coming and going would cost frames of a drag. -->
  {#if onmove}
    {@const guide = pt(dragged?.to ?? { x: 0, y: 0 })}
    <line
      x1={guide.x}
      x2={guide.x}
      y1="0"
      y2={frame.height}
      class="guide"
      stroke-width={px}
      visibility={dragged?.x === undefined ? 'hidden' : 'visible'}
    />
    <line
      x1="0"
      x2={frame.width}
      y1={guide.y}
      y2={guide.y}
      class="guide"
      stroke-width={px}
      visibility={dragged?.y === undefined ? 'hidden' : 'visible'}
    />
  {/if}

  {#each small ? [] : [...more, ...report.spots].filter((spot) => shown(spot.at)) as spot (spot.handle)}
    {@const place = pt(at(spot.handle, spot.at))}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <g
      role={onmove ? 'button' : 'img'}
      aria-label="{spot.label}: {spot.description}"
      tabindex={onmove ? 0 : undefined}
      class="spot"
      class:movable={onmove}
      data-handle={spot.handle}
      transform="translate({place.x} {place.y})"
      onpointerdown={(event) => grab(event, spot.handle, spot.at)}
      onpointermove={drag}
      onpointerup={drop}
      onpointercancel={drop}
      onkeydown={(event) => key(event, spot.handle, spot.at)}
    >
      <circle r={(spot.handle.endsWith('.contact') ? 10 : 16) * px} class="reach" stroke-width={2 * px} />
      <SpotSign {spot} {ahead} {px} />
    </g>
  {/each}
</svg>

<style>
  .court {
    contain: layout paint style;
    will-change: transform;
    display: block;
    width: 100%;
    height: auto;
    overflow: hidden;
    touch-action: pan-y;
    user-select: none;
  }
  /* On a desk the whole court is seen at once; whoever shows it says how much room there is. */
  @media screen and (min-width: 701px) {
    .whole {
      width: min(var(--court-width, 24rem), var(--court-height, 100dvh - 24rem) * var(--shape));
      min-width: 13rem;
    }
  }
  .guide {
    stroke: var(--tag);
    stroke-dasharray: 0.1 0.15;
  }
  .reach {
    fill: transparent;
  }
  .movable {
    cursor: grab;
    touch-action: none;
  }
  .spot:focus-visible {
    outline: none;
  }
  .spot:focus-visible .reach {
    stroke: var(--tag);
    fill: color-mix(in oklab, var(--on-court) 35%, transparent);
  }
</style>
