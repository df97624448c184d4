<script lang="ts">
  import type { Played } from '../../lib/api/client'

  /** What came of a game, in few words. */
  interface Props {
    played: Played
  }
  let { played }: Props = $props()
  const name = (id: string) => played.names[id] ?? id
  const names = (ids: readonly string[]) => ids.map(name).join(' and ') || 'the drill'
  const most = 3
  const own = $derived(
    (played.state?.personal ?? [])
      .map((points, i) => ({ id: played.document.players[i] ?? '', points }))
      .sort((a, b) => b.points - a.points),
  )
</script>

{#if own.length}
  {own.map((each) => `${name(each.id)} ${each.points}`).join(', ')}
{:else if played.table.length}
  {played.table
    .slice(0, most)
    .map((line) => `${line.place}. ${name(line.name)}`)
    .join(', ')}; {played.rounds.length} of {played.fixtures.length} games
{:else}
  {#each played.rounds.slice(0, most) as round, i (i)}
    <span class="block"
      >{names(round.near)} – {names(round.far)}
      <span class="drum-digits">{round.nearPoints} : {round.farPoints}</span></span
    >
  {/each}
  {#if played.rounds.length > most}<span class="block text-sm">and {played.rounds.length - most} more</span
    >{/if}
{/if}
