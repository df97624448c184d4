<script lang="ts">
  import type { RotationTable } from '../../lib/api/client'

  /** The round as a picture: courts with who is on them, those on deck beside it. */
  interface Props {
    table: RotationTable
    people: string[]
    round: number
  }
  let { table, people, round }: Props = $props()
  const seats = $derived(table.rounds[round]?.seats ?? [])
  const courts = $derived(
    [...new Set(seats.filter((s) => !s.waits).map((s) => s.court))]
      .sort((a, b) => a - b)
      .map((court) => ({
        court,
        sides: [...new Set(seats.filter((s) => s.court === court).map((s) => s.side))].map((side) => ({
          side,
          seats: seats.filter((s) => s.court === court && s.side === side),
        })),
      })),
  )
  const waiting = $derived(seats.filter((s) => s.waits))
  const name = (person: number) => (person === -1 ? 'Coach' : (people[person] ?? ''))
  const begins = $derived(table.rounds[round]?.begins)
</script>

<div class="picture" aria-hidden="true">
  {#each courts as { court, sides } (court)}
    <div class="court">
      {#each sides as { side, seats }, i (i)}
        {#if i > 0}<div class="net"></div>{/if}
        <div class="side">
          {#each seats as seat, n (n)}
            <div class="seat" class:feeds={seat.feeds}>
              <strong>{name(seat.person)}</strong><span>{seat.spot}</span>
            </div>
          {/each}
          {#if begins && begins === side}<span class="begins">begins</span>{/if}
        </div>
      {/each}
    </div>
  {/each}
  {#if waiting.length}
    <p class="text-sm">On deck: {waiting.map((s) => name(s.person)).join(', ')}</p>
  {/if}
</div>

<style>
  .picture {
    display: flex;
    flex-direction: column;
    gap: 0.4rem;
    width: 22rem;
    max-width: 100%;
  }
  .court {
    background: var(--surface);
    color: var(--on-court);
    border: 2px solid var(--chalk-line);
    outline: 3px solid var(--surface);
    padding: 0.3rem;
  }
  .net {
    border-top: 2px dashed var(--net);
    margin: 0.3rem 0;
  }
  .side {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.3rem;
    position: relative;
  }
  .seat {
    background: var(--tag);
    color: #21140c;
    border-radius: 4px;
    padding: 0.1rem 0.4rem;
    font-size: 0.8rem;
    display: flex;
    flex-direction: column;
    line-height: 1.2;
  }
  .feeds {
    outline: 2px dashed #21140c;
    outline-offset: -3px;
  }
  .begins {
    position: absolute;
    right: 0.2rem;
    bottom: 0.1rem;
    font-size: 0.7rem;
    background: #21140c;
    color: #fffaf2;
    padding: 0 0.3rem;
  }
</style>
