<script lang="ts">
  import type { Court, Report } from '../lib/api/client'
  import { drawn, type Frame } from './view'

  /** What makes a movement right, where it has a line or an area of the court. */
  interface Props {
    criterion: Report['measures'][number]['criteria'][number]
    court: Court
    frame: Frame
    /** Metres to a pixel. */
    px: number
  }
  let { criterion, court, frame, px }: Props = $props()
  const line = $derived(court.lines.find((each) => each.id === criterion.line))
  const points = $derived(
    (line ? [line.from, line.to] : (criterion.area?.corners ?? []))
      .map((p) => drawn(frame, p))
      .map((p) => `${p.x},${p.y}`)
      .join(' '),
  )
  const dotted = $derived({ 'stroke-width': 5 * px, 'stroke-dasharray': `${px} ${6 * px}` })
</script>

{#snippet title()}<title>{criterion.text}</title>{/snippet}
{#if line}
  <polyline {points} class="criterion" {...dotted}>{@render title()}</polyline>
{:else if points}
  <polygon {points} class="criterion" {...dotted}>{@render title()}</polygon>
{/if}

<style>
  .criterion {
    stroke: var(--feed);
    fill: none;
  }
</style>
