<script lang="ts">
  import { drawn, type Frame } from '../court/view'
  import NumberSign from './NumberSign.svelte'
  import type { StandAnswer } from '../lib/api/client'

  /** What is held from where, the ways of the replies, and the places of the schools. */
  interface Props {
    answer: StandAnswer
    /** Which stand is chosen. */
    chosen: number
    /** The map of what is reached from there, instead of what is held from where. */
    reach?: boolean
    frame: Frame
    /** Metres to a pixel. */
    px: number
  }
  let { answer, chosen, reach = false, frame, px }: Props = $props()
  const pt = (p: { x: number; y: number }) => drawn(frame, p)
  const stand = $derived(answer.stands[chosen])
  /** Six even steps between the least and the most that is held, so that the map reads on any court. */
  const steps = 6
  const least = $derived(Math.min(...answer.map.map((place) => place.held)))
  const most = $derived(Math.max(...answer.map.map((place) => place.held), least + 0.01))
  const shade = $derived((held: number) => Math.round(((held - least) / (most - least)) * steps) / steps)
  const from = $derived(pt(answer.from))
</script>

<g aria-hidden="true">
  {#if reach}
    {#each answer.reach as landing, i (i)}
      {@const at = pt(landing.at)}
      <circle
        cx={at.x}
        cy={at.y}
        r={7 * px}
        class="held"
        fill-opacity={0.75 * (landing.from[chosen] ?? 0)}
        stroke="var(--chalk-line)"
        stroke-opacity="0.5"
        stroke-width={px}
      />
    {/each}
  {:else}
    {#each answer.map as place, i (i)}
      {@const at = pt(place.at)}
      <rect
        x={at.x - answer.step / 2}
        y={at.y - answer.step / 2}
        width={answer.step * 1.02}
        height={answer.step * 1.02}
        class="held"
        fill-opacity={0.5 * shade(place.held)}
      />
    {/each}
  {/if}
  {#each answer.coming as coming, i (i)}
    {#if coming.chance > 0}
      {@const to = pt(coming.landing)}
      {@const lost = (stand?.each[i] ?? 0) < 0.35}
      <line
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        class="way"
        stroke-width={(1 + 8 * coming.chance) * px}
        stroke-dasharray={lost ? `${4 * px} ${5 * px}` : undefined}
      />
      <NumberSign at={to} text={String(i + 1)} {px} />
    {/if}
  {/each}
</g>

<style>
  .held {
    fill: var(--chalk-line);
  }
  .way {
    stroke: var(--feed);
    stroke-linecap: round;
    opacity: 0.85;
  }
</style>
