<script lang="ts">
  import type { Court } from '../lib/api/client'
  import { drawn, type Frame } from './view'

  /** What stands round a court on its floor: glass as a strong line, mesh as a broken one, just inside the edge. */
  interface Props {
    court: Court
    frame: Frame
    /** Metres to a pixel. */
    px: number
  }
  let { court, frame, px }: Props = $props()
  const feet = $derived(
    (court.panels ?? [])
      .filter((panel) => panel.low === 0)
      .flatMap((panel) => {
        const line = court.lines.find((each) => each.id === panel.wall)
        if (!line) return []
        const along = line.from.y === line.to.y
        const inside = (edge: number) => edge - Math.sign(edge) * 2 * px
        const at = (share: number) =>
          drawn(frame, along ? { x: share, y: inside(line.from.y) } : { x: inside(line.from.x), y: share })
        return { from: at(panel.from), to: at(panel.to), glass: panel.of === 'glass', of: panel.of }
      }),
  )
</script>

{#each feet as foot, i (i)}
  <line
    x1={foot.from.x}
    y1={foot.from.y}
    x2={foot.to.x}
    y2={foot.to.y}
    stroke-width={(foot.glass ? 4 : 2) * px}
    stroke-dasharray={foot.glass ? undefined : `${3 * px} ${3 * px}`}
  >
    <title>{foot.of}</title>
  </line>
{/each}

<style>
  line {
    stroke: var(--chalk-line);
  }
</style>
