<script lang="ts">
  import type { Finding, Plan } from '../lib/api/client'
  import { actOf, dropAt, type RoadAct } from './keys'
  import RoadPluses, { plusSize } from './RoadPluses.svelte'
  import RoadSigns, { signSize } from './RoadSigns.svelte'

  interface Props {
    plan: Plan
    /** Seconds travelled, courtside. */
    at?: number
    selected?: string
    /** A block is shaped: with a key, or by dragging. */
    onact?: (block: string, act: RoadAct | { kind: 'move to'; to: number }) => void
    /** A sign was opened. */
    onsign?: (finding: Finding) => void
    /** Something is to be put in at a place in the order. */
    onadd?: (at: number) => void
    height?: number
  }
  let { plan, at, selected, onact, onsign, onadd, height = 150 }: Props = $props()

  /** What is being dragged: the end of a block, or a whole block. */
  interface Drag {
    block: string
    start: number
    end: number
    grabbed: number
    second: number
    whole: boolean
  }
  /** Pixels a pointer moves before a block is dragged and not just chosen. */
  const slack = 6

  let svg = $state<SVGSVGElement>()
  let width = $state(800)
  let drag = $state<Drag | null>(null)

  const total = $derived(Math.max(plan.booked, plan.planned, 300))
  const x = $derived((second: number) => (second / total) * width)
  const foot = $derived(height - 26 - (onadd ? plusSize + 4 : 0))
  const headroom = $derived(onsign ? signSize + 6 : 10)
  /** Effort out of ten as height; a break dips to the verge. */
  const top = $derived((effort: number) => foot - 12 - (effort / 10) * (foot - 12 - headroom))
  const milestoneStep = $derived(width / plan.milestones.length < 44 ? 3 : 1)
  const short = (title: string, room: number) => {
    const letters = Math.floor(room / 7.5) - 1
    return letters < 3 ? '' : title.length <= letters ? title : `${title.slice(0, letters - 1)}…`
  }

  const dropped = $derived(drag?.whole ? dropAt(drag.second, plan.blocks, drag.block) : -1)
  /** Where the dragged block would begin. */
  const dropLine = $derived.by(() => {
    if (!drag?.whole) return 0
    const others = plan.blocks.filter((s) => s.block !== drag?.block)
    return x(others[dropped]?.start ?? plan.planned)
  })

  const secondAt = (event: PointerEvent) => {
    const box = svg?.getBoundingClientRect()
    return box ? ((event.clientX - box.left) / box.width) * total : 0
  }

  function grab(event: PointerEvent, block: string, start: number, end: number, whole: boolean) {
    if (!onact || event.button !== 0) return
    if (!whole) event.preventDefault()
    const second = secondAt(event)
    drag = { block, start, end, grabbed: second, second: whole ? second : end, whole: false }
    if (!whole) (event.currentTarget as Element).setPointerCapture(event.pointerId)
  }

  function pull(event: PointerEvent) {
    if (!drag) return
    drag.second = secondAt(event)
    if (!drag.whole && Math.abs(x(drag.second - drag.grabbed)) > slack && event.currentTarget === svg) {
      drag.whole = true
      svg?.setPointerCapture(event.pointerId)
    }
  }

  const stretched = (d: Drag) => Math.max(30, Math.round((d.second - d.start) / 30) * 30)

  function letGo(event: PointerEvent) {
    if (!drag) return
    const { block, start, end, whole } = drag
    if (whole) onact?.(block, { kind: 'move to', to: dropped })
    else if (event.currentTarget !== svg)
      onact?.(block, { kind: 'resize', by: (stretched(drag) - (end - start)) / 60 })
    drag = null
  }

  function press(event: KeyboardEvent, block: string) {
    const act = actOf(event.key, event.shiftKey)
    if (!act || event.altKey || event.ctrlKey || event.metaKey) return
    event.preventDefault()
    onact?.(block, act)
  }
</script>

<svg
  bind:this={svg}
  bind:clientWidth={width}
  viewBox="0 0 {width} {height}"
  {height}
  class="road"
  class:dragging={drag?.whole}
  role="group"
  aria-label="The lesson as a road"
  onpointermove={pull}
  onpointerup={letGo}
  onpointercancel={() => (drag = null)}
>
  <line x1="0" x2={width} y1={foot} y2={foot} class="ground" />
  {#each plan.milestones as stone, i (stone.second)}
    <line
      x1={x(stone.second)}
      x2={x(stone.second)}
      y1={foot}
      y2={foot + (i % milestoneStep === 0 ? 8 : 4)}
      class="stone"
    />
    {#if i % milestoneStep === 0}
      <text
        x={x(stone.second)}
        y={foot + 22}
        class="drum-digits clock"
        text-anchor={i === 0 ? 'start' : x(stone.second) > width - 20 ? 'end' : 'middle'}>{stone.clock}</text
      >
    {/if}
  {/each}
  {#each plan.blocks as stretch (stretch.block)}
    {@const left = x(stretch.start)}
    {@const room = x(stretch.end) - left}
    {@const high = top(stretch.effort)}
    {@const low = high > foot - 24}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <g
      role={onact ? 'button' : 'img'}
      tabindex={onact ? 0 : undefined}
      aria-label="{stretch.clock} {stretch.title}, {stretch.fits}{stretch.pinned ? ', pinned' : ''}"
      aria-pressed={onact ? selected === stretch.block : undefined}
      aria-describedby={onact ? 'road-keys' : undefined}
      class="stretch"
      class:selected={selected === stretch.block}
      class:over={stretch.over > 0}
      onclick={() => onact?.(stretch.block, { kind: 'choose' })}
      onpointerdown={(event) => grab(event, stretch.block, stretch.start, stretch.end, true)}
      onkeydown={(event) => press(event, stretch.block)}
    >
      <title>{stretch.title}: {stretch.fits}</title>
      <path d="M{left + 1} {foot}V{high + 5}q0 -5 5 -5H{left + room - 6}q5 0 5 5V{foot}Z" class="block" />
      {#if stretch.setUp > 0 && stretch.load}
        <rect
          x={left + 1}
          y={foot - 5}
          width={Math.max(
            0,
            x(stretch.start + Math.min(stretch.setUp, stretch.end - stretch.start)) - left - 1,
          )}
          height="5"
          class="setup"
        />
      {/if}
      <text x={left + 7} y={low ? high - 6 : high + 17} class="title" class:above={low}
        >{short(stretch.title, room)}</text
      >
      {#if stretch.pinned}
        <path
          d="M{left + room - 14} {foot - 22}v-9m-4 0h8m-7 0v-6h6v6m-3 9v6"
          class="pin"
          class:onDark={selected === stretch.block}
        />
      {/if}
    </g>
    {#if onact}
      <rect
        x={left + room - 7}
        y={high}
        width="14"
        height={foot - high}
        class="handle"
        role="presentation"
        onpointerdown={(event) => grab(event, stretch.block, stretch.start, stretch.end, false)}
        onpointermove={(event) => {
          event.stopPropagation()
          if (drag) drag.second = secondAt(event)
        }}
        onpointerup={(event) => {
          event.stopPropagation()
          letGo(event)
        }}
      />
    {/if}
    {#if drag?.block === stretch.block && !drag.whole && drag.second !== drag.grabbed}
      <rect x={left} y={high} width={x(stretched(drag))} height={foot - high} class="ghost" />
    {/if}
  {/each}
  {#if drag?.whole}
    <path d="M{dropLine} {foot + 2}V4m-6 0h12" class="dropLine" />
  {/if}
  {#if onsign}<RoadSigns {plan} {width} {total} {x} {top} {onsign} />{/if}
  {#if onadd}<RoadPluses {plan} {width} {height} {x} {onadd} />{/if}
  {#if plan.booked < total}
    <line x1={x(plan.booked)} x2={x(plan.booked)} y1="0" y2={foot} class="booked" />
  {/if}
  {#if at !== undefined}
    <path d="M{x(Math.min(at, total))} {foot + 2}l-7 12h14z" class="here" />
    <line x1={x(Math.min(at, total))} x2={x(Math.min(at, total))} y1="0" y2={foot} class="herePost" />
  {/if}
</svg>

<style>
  .road {
    width: 100%;
    display: block;
    overflow: visible;
  }
  .dragging {
    cursor: grabbing;
  }
  .ground {
    stroke: var(--color-base-content);
    stroke-width: 3;
  }
  .stone {
    stroke: var(--color-base-content);
    stroke-width: 2;
  }
  .clock {
    font-size: 15px;
    fill: var(--color-base-content);
  }
  .block {
    fill: var(--color-base-300);
    stroke: var(--color-base-content);
    stroke-width: 1;
  }
  .setup {
    fill: var(--color-base-content);
  }
  .stretch[role='button'] {
    cursor: grab;
    touch-action: pan-y;
    user-select: none;
  }
  .stretch.selected .block {
    fill: var(--color-primary);
  }
  .stretch.selected .title:not(.above) {
    fill: var(--color-primary-content);
  }
  .stretch.over .block {
    stroke: var(--color-error);
    stroke-width: 2.5;
  }
  .stretch:focus-visible {
    outline-offset: -3px;
  }
  .title {
    font-size: 14px;
    fill: var(--color-base-content);
    pointer-events: none;
  }
  .pin {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 1.6;
  }
  .pin.onDark {
    stroke: var(--color-primary-content);
  }
  .handle {
    fill: transparent;
    cursor: ew-resize;
    touch-action: none;
  }
  .ghost {
    fill: color-mix(in oklab, var(--color-primary) 30%, transparent);
    stroke: var(--color-primary);
    stroke-dasharray: 4 3;
    pointer-events: none;
  }
  .dropLine {
    fill: none;
    stroke: var(--color-primary);
    stroke-width: 3;
  }
  .booked {
    stroke: var(--color-error);
    stroke-width: 2;
    stroke-dasharray: 6 4;
  }
  .here {
    fill: var(--color-primary);
  }
  .herePost {
    stroke: var(--color-primary);
    stroke-width: 2;
  }
</style>
