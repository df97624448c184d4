<script lang="ts">
  import type { Plan } from '../lib/api/client'

  interface Props {
    plan: Plan
    /** Seconds travelled, courtside. */
    at?: number
    selected?: string
    onselect?: (block: string) => void
    /** A block was stretched to so many seconds by its end. */
    onstretch?: (block: string, seconds: number) => void
    height?: number
  }
  let { plan, at, selected, onselect, onstretch, height = 150 }: Props = $props()

  let width = $state(800)
  let stretching = $state<{ block: string; start: number; seconds: number } | null>(null)

  const total = $derived(Math.max(plan.booked, plan.planned, 300))
  const x = $derived((second: number) => (second / total) * width)
  const foot = $derived(height - 26)
  /** Effort out of ten as height; a break dips to the verge. */
  const top = $derived((effort: number) => foot - 12 - (effort / 10) * (foot - 22))
  const milestoneStep = $derived(width / plan.milestones.length < 44 ? 3 : 1)
  const short = (title: string, room: number) => {
    const letters = Math.floor(room / 7.5) - 1
    return letters < 3 ? '' : title.length <= letters ? title : `${title.slice(0, letters - 1)}…`
  }

  function grab(event: PointerEvent, block: string, start: number, end: number) {
    event.preventDefault()
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    stretching = { block, start, seconds: end - start }
  }

  function pull(event: PointerEvent) {
    if (!stretching) return
    const box = (event.currentTarget as Element).closest('svg')?.getBoundingClientRect()
    if (!box) return
    const second = ((event.clientX - box.left) / box.width) * total
    stretching.seconds = Math.max(30, Math.round((second - stretching.start) / 30) * 30)
  }

  function release() {
    if (stretching) onstretch?.(stretching.block, stretching.seconds)
    stretching = null
  }
</script>

<svg
  bind:clientWidth={width}
  viewBox="0 0 {width} {height}"
  {height}
  class="road"
  role="group"
  aria-label="The lesson as a road"
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
        y={height - 4}
        class="drum-digits clock"
        text-anchor={i === 0 ? 'start' : x(stone.second) > width - 20 ? 'end' : 'middle'}>{stone.clock}</text
      >
    {/if}
  {/each}
  {#each plan.stretches as stretch (stretch.block)}
    {@const left = x(stretch.start)}
    {@const room = x(stretch.end) - left}
    {@const high = top(stretch.effort)}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <g
      role={onselect ? 'button' : 'img'}
      tabindex={onselect ? 0 : undefined}
      aria-label="{stretch.clock} {stretch.title}, {stretch.fits}"
      aria-pressed={onselect ? selected === stretch.block : undefined}
      class="stretch"
      class:selected={selected === stretch.block}
      class:over={stretch.over > 0}
      onclick={() => onselect?.(stretch.block)}
      onkeydown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return
        event.preventDefault()
        onselect?.(stretch.block)
      }}
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
      <text
        x={left + 7}
        y={high > foot - 24 ? high - 6 : high + 17}
        class="title"
        class:above={high > foot - 24}>{short(stretch.title, room)}</text
      >
      {#if stretch.over > 0}<text x={left + 7} y={high - 5} class="flag">over</text>{/if}
    </g>
    {#if onstretch}
      <rect
        x={left + room - 7}
        y={high}
        width="14"
        height={foot - high}
        class="handle"
        role="presentation"
        onpointerdown={(event) => grab(event, stretch.block, stretch.start, stretch.end)}
        onpointermove={pull}
        onpointerup={release}
        onpointercancel={() => (stretching = null)}
      />
    {/if}
    {#if stretching?.block === stretch.block}
      <rect
        x={left}
        y={high}
        width={x(stretch.start + stretching.seconds) - left}
        height={foot - high}
        class="ghost"
      />
    {/if}
  {/each}
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
    cursor: pointer;
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
  .title,
  .flag {
    font-size: 14px;
    fill: var(--color-base-content);
  }
  .flag {
    fill: var(--color-error);
    font-weight: 600;
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
