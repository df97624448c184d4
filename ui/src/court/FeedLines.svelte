<script lang="ts">
  import type { Point, Report } from '../lib/api/client'
  import { drawn, drawnBox, type Frame } from './view'

  /** The ways of the balls that are fed, each with a pattern of its own, and the areas in which they may land. */
  interface Props {
    feeds: Report['feeds']
    /** The handle of the feeder's place. */
    feeder: string
    /** Where a place is now, which may be under way. */
    at: (handle: string, place: Point) => Point
    frame: Frame
    /** Metres to a pixel. */
    px: number
  }
  let { feeds, feeder, at, frame, px }: Props = $props()
  const patterns = ['', '6 4', '2 4', '10 3 2 3']
  const dashes = (i: number) =>
    (patterns[i % patterns.length] ?? '')
      .split(' ')
      .map((n) => Number(n) * px || '')
      .join(' ')
</script>

{#each feeds as feed, i (i)}
  {@const from = drawn(frame, at(feeder, feed.from))}
  {@const landing = at(`pattern.tasks.${feed.number - 1}.landing`, feed.landing)}
  {@const to = drawn(frame, landing)}
  {#if feed.area}
    <rect
      {...drawnBox(frame, landing, feed.area.wide, feed.area.deep)}
      class="feed"
      fill="none"
      stroke-width={1.25 * px}
      stroke-dasharray={dashes(i)}
    />
  {/if}
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

<style>
  .feed {
    stroke: var(--feed);
  }
</style>
