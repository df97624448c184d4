<script lang="ts">
  import type { Simulation } from '../lib/api/client'
  import type { Moment } from './simulation'
  import { drawn, turn, type Frame } from './view'

  /** The runs of a turn as footprints, and ball, shadow and player at a moment of it. */
  interface Props {
    simulation: Simulation
    frame: Frame
    /** Metres to a pixel. */
    px: number
    /** Null while the turn is not played. */
    moment: Moment | null
  }
  let { simulation, frame, px, moment }: Props = $props()
  const pt = (p: { x: number; y: number }) => drawn(frame, p)
  /** A footprint every so many metres, left and right in turn. */
  const stride = 0.75
  const shown = $derived(
    simulation.timeline.interceptions.filter((interception) => interception.sequence === 0).slice(0, 12),
  )
  const prints = $derived(
    shown.flatMap((interception) => {
      const list: { x: number; y: number; way: number }[] = []
      let since = 0
      for (const [i, to] of interception.route.entries()) {
        const from = interception.route[i - 1]
        if (!from) continue
        const length = Math.hypot(to.x - from.x, to.y - from.y)
        const way = Math.atan2(to.y - from.y, to.x - from.x)
        for (let gone = stride - since; gone <= length; gone += stride) {
          const side = list.length % 2 ? 0.12 : -0.12
          list.push({
            x: from.x + (gone / length) * (to.x - from.x) - side * Math.sin(way),
            y: from.y + (gone / length) * (to.y - from.y) + side * Math.cos(way),
            way,
          })
        }
        since = (since + length) % stride
      }
      return list
    }),
  )
</script>

<g aria-hidden="true">
  {#each prints as print, i (i)}
    {@const at = pt(print)}
    <ellipse
      rx={4.5 * px}
      ry={2 * px}
      class="print"
      transform="translate({at.x} {at.y}) rotate({(-print.way * 180) / Math.PI + turn[frame.ahead]})"
    />
  {/each}
  {#if moment}
    {#each moment.players as player, i (i)}
      {@const at = pt(player)}
      <circle cx={at.x} cy={at.y} r={11 * px} class="player" stroke-width={3 * px} />
    {/each}
    {#each moment.balls as ball, i (i)}
      {@const shadow = pt(ball)}
      <ellipse cx={shadow.x} cy={shadow.y} rx={5 * px} ry={3 * px} class="shadow" />
      <circle
        cx={shadow.x}
        cy={shadow.y - Math.max(ball.z, 0) * 12 * px}
        r={6 * px}
        class="ball"
        stroke-width={1.5 * px}
      />
    {/each}
  {/if}
</g>

<style>
  .print {
    fill: var(--chalk-line);
    opacity: 0.75;
  }
  .player {
    fill: color-mix(in oklab, var(--color-secondary) 70%, transparent);
    stroke: var(--tag);
  }
  .shadow {
    fill: var(--on-court);
    opacity: 0.55;
  }
  .ball {
    fill: var(--ball);
    stroke: var(--on-court);
  }
</style>
