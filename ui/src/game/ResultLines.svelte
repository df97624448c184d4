<script lang="ts">
  import type { Played } from '../lib/api/client'
  import { ownScores } from './own'
  import { together } from '../lib/words/words'

  /** What came of a game, in few words. */
  interface Props {
    played: Played
    /** Only what this student played. */
    of?: string
  }
  let { played, of }: Props = $props()
  const name = (id: string) => played.names[id] ?? id
  const names = (ids: readonly string[]) => together(ids, name) || 'the drill'
  const rounds = $derived(
    played.rounds.filter((round) => !of || round.near.includes(of) || round.far.includes(of)),
  )
  const most = 3
  const own = $derived(ownScores(played))
</script>

{#if own.length}
  {own.map((each) => `${name(each.id)} ${each.points}`).join(', ')}
{:else if played.table.length}
  {played.table
    .slice(0, most)
    .map((line) => `${line.place}. ${names(line.names)}`)
    .join(', ')}; {played.rounds.length} of {played.fixtures.length} games
{:else}
  {#each rounds.slice(0, most) as round, i (i)}
    <span class="block"
      >{names(round.near)} – {names(round.far)}
      <span class="drum-digits">{round.nearPoints} : {round.farPoints}</span></span
    >
  {/each}
  {#if rounds.length > most}<span class="block text-sm">and {rounds.length - most} more</span>{/if}
{/if}
