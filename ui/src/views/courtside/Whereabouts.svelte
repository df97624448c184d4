<script lang="ts">
  import Court from '../../court/Court.svelte'
  import { drawn, type Frame } from '../../court/view'
  import type { Cue, Point } from '../../lib/api/client'
  import { courtsQuery } from '../../lib/page/data'
  import { minutes } from '../../lib/words/words'

  /** Who is where now, and where they go in the next round, drawn to scale. */
  interface Props {
    court: string
    now: Cue['roles']
    /** The next round of the same block; undefined where there is none. */
    next: Cue | undefined
    second: number
  }
  let { court, now, next, second }: Props = $props()
  const courts = courtsQuery()
  const found = $derived(courts.data?.find((each) => each.id === court))
  /** Where somebody goes next; undefined where they stay, or nobody knows. */
  const goes = (role: Cue['roles'][number]) => {
    const to = next?.roles.find((other) => other.name === role.name && other.short === role.short)?.at
    return role.at && to && Math.hypot(to.x - role.at.x, to.y - role.at.y) > 0.1 ? to : undefined
  }
  const letter = 12
  /** An arrow ends before the name that it leads to. */
  const ends = (from: Point, to: Point, short: number) => {
    const far = Math.hypot(to.x - from.x, to.y - from.y)
    const share = Math.max(0, 1 - short / far)
    return { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share }
  }
</script>

{#if found && now.some(({ at }) => at)}
  <figure class="where">
    <Court
      small
      report={{ court: found, spots: [], feeds: [], measures: [], noGo: [], noGoLines: [] }}
      label="Who is where: {now.map(({ short, role }) => `${short} ${role}`).join(', ')}"
      {under}
    />
    {#if next}<figcaption>
        Arrows: next, in {minutes(next.second - second)}
      </figcaption>{/if}
  </figure>
{/if}

{#snippet under(frame: Frame, px: number)}
  <defs>
    <marker id="goes" viewBox="0 0 8 8" refX="6" refY="4" markerWidth="6" markerHeight="6" orient="auto"
      ><path d="M0 0 8 4 0 8z" fill="currentColor" /></marker
    >
  </defs>
  {#each now as role, i (i)}
    {@const to = goes(role)}
    {#if role.at && to}
      {@const from = drawn(frame, role.at)}
      {@const end = ends(from, drawn(frame, to), 12 * px)}
      <line
        x1={from.x}
        y1={from.y}
        x2={end.x}
        y2={end.y}
        stroke="currentColor"
        stroke-width={1.2 * px}
        stroke-dasharray="{4 * px} {3 * px}"
        marker-end="url(#goes)"
      />
    {/if}
  {/each}
  {#each now as role, i (i)}
    {#if role.at}
      {@const place = drawn(frame, role.at)}
      <text
        x={place.x}
        y={place.y + 0.35 * letter * px}
        text-anchor="middle"
        font-size={letter * px}
        font-weight="700"
        stroke-width={4 * px}
        class="name">{role.short}</text
      >
    {/if}
  {/each}
{/snippet}

<style>
  .where {
    width: clamp(9.5rem, 40vw, min(13rem, 21dvh));
    margin: 0;
  }
  .where :global(svg) {
    width: 100%;
    min-width: 0;
    overflow: visible;
  }
  .name {
    fill: var(--color-base-content);
    stroke: var(--color-base-100);
    paint-order: stroke;
  }
  figcaption {
    text-align: center;
    font-size: 0.875rem;
    font-variant-numeric: tabular-nums;
  }
</style>
