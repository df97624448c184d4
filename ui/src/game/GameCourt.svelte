<script lang="ts">
  import Court from '../court/Court.svelte'
  import type { Ahead, Drawing } from '../court/view'
  import type { OnCourt, Point } from '../lib/api/client'

  /** The start places of a game, and what has to be hit, on its court. */
  interface Props {
    on: OnCourt
    label: string
    small?: boolean
    ahead?: Ahead
    /** A start place or a target was moved. */
    onmove?: (handle: string, to: Point) => void
    /** Who stands where, by start place. */
    names?: readonly string[]
  }
  let { on, label, small = false, ahead = 'up', onmove, names }: Props = $props()
  const drawing = $derived<Drawing>({
    court: on.court,
    spots: [
      ...on.spots.map((spot, i) => ({ ...spot, label: names?.[i] ?? spot.label })),
      ...(onmove ? on.targets.flatMap(({ spot }) => spot ?? []) : []),
    ],
    feeds: [],
    noGo: [],
    noGoLines: [],
    measures: on.targets.map(({ target }, i) => ({ number: i + 1, target })),
  })
</script>

<Court
  report={drawing}
  {label}
  {small}
  {ahead}
  onmove={onmove && ((handle, place, how) => how !== 'dragged' && onmove(handle, place.to))}
/>
