<script lang="ts">
  import type { Report, Reference } from '../lib/api/client'

  /** How a mark is said: from which lines, whose left and right, and what it does on another court. */
  interface Props {
    spot: Report['spots'][number]
    court: Report['court']
    onreword: (wording: Reference) => void
  }
  let { spot, court, onreword }: Props = $props()
  const across = $derived(court.lines.filter((line) => line.from.y === line.to.y))
  const up = $derived(court.lines.filter((line) => line.from.x === line.to.x))
  const lines = $derived(
    spot.mark.along ? [spot.mark.along.line] : (spot.mark.measures ?? []).map((measure) => measure.line),
  )
  const ways = ['as a plain place', 'along one line', 'from two lines'] as const
  const nearestLine = (list: typeof across, off: (line: (typeof across)[number]) => number) =>
    [...list].sort((a, b) => off(a) - off(b))[0]?.id ?? ''
  const nearestAcross = $derived(nearestLine(across, (line) => Math.abs(line.from.y - spot.at.y)))
  const nearestUp = $derived(nearestLine(up, (line) => Math.abs(line.from.x - spot.at.x)))
  /** The line of a measure that runs one way, whichever stands first. */
  const chosen = (list: typeof across) => lines.find((id) => list.some((line) => line.id === id))

  function reword(change: Partial<Reference>) {
    onreword({ lines, view: spot.mark.view, scales: spot.mark.scales, ...change })
  }
  function sayIn(way: string) {
    if (way === ways[0]) reword({ lines: [] })
    else if (way === ways[1]) reword({ lines: [nearestAcross] })
    else reword({ lines: [nearestAcross, nearestUp] })
  }
</script>

{#snippet select(
  label: string,
  value: string | undefined,
  options: typeof across,
  onchange: (id: string) => void,
)}
  <select
    class="select select-xs w-auto max-w-full"
    aria-label="{spot.label}: {label}"
    {value}
    onchange={(event) => onchange(event.currentTarget.value)}
  >
    {#each options as line (line.id)}<option value={line.id}>{line.name}</option>{/each}
  </select>
{/snippet}

<details class="mt-1 text-sm">
  <summary class="cursor-pointer"
    >said {ways[lines.length]}<span class="sr-only">, {spot.label}</span></summary
  >
  <div class="mt-1 flex flex-wrap items-center gap-2">
    <select
      class="select select-xs w-auto"
      aria-label="{spot.label}: measured"
      value={ways[lines.length]}
      onchange={(event) => sayIn(event.currentTarget.value)}
    >
      {#each ways as way (way)}<option>{way}</option>{/each}
    </select>
    {#if lines.length === 1}
      {@render select('along which line', lines[0], [...across, ...up], (id) => reword({ lines: [id] }))}
    {:else if lines.length === 2}
      {@render select('line along the net', chosen(across), across, (id) =>
        reword({ lines: [id, chosen(up) ?? nearestUp] }),
      )}
      {@render select('line up the court', chosen(up), up, (id) =>
        reword({ lines: [chosen(across) ?? nearestAcross, id] }),
      )}
    {/if}
    <select
      class="select select-xs w-auto"
      aria-label="{spot.label}: whose left and right"
      value={spot.mark.view ?? 'near'}
      onchange={(event) => reword({ view: event.currentTarget.value as 'near' | 'far' })}
    >
      <option value="near">the near player’s left and right</option>
      <option value="far">the far player’s left and right</option>
    </select>
    <label class="flex items-center gap-1"
      ><input
        type="checkbox"
        class="checkbox checkbox-xs"
        checked={spot.mark.scales ?? false}
        onchange={(event) => reword({ scales: event.currentTarget.checked })}
      />
      scales with the court<span class="sr-only">, {spot.label}</span></label
    >
  </div>
</details>
