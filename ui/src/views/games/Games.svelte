<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { courtsQuery, gamesQuery } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import GameOnList from './GameOnList.svelte'
  import { keep } from './keep'
  import NewResults from './NewResults.svelte'
  import Rooms from './Rooms.svelte'

  /** Games that can be played, the coach's own first. */
  const client = useQueryClient()
  const query = gamesQuery()
  const courts = courtsQuery()
  let sport = $state('')
  let words = $state('')
  let court = $state('tennis')
  const sports = $derived([...new Set(query.data?.map((game) => game.document.sport))])

  async function begin() {
    try {
      await keep(client, await answer(api.POST('/api/games/begin', { body: { court } })))
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<div class="flex flex-wrap items-center gap-3">
  <h1>Games</h1>
  <Rooms here="games" />
  <span class="ml-auto flex gap-2"><a class="btn btn-sm" href="#/documents">Bring in</a><NewResults /></span>
  <span class="join">
    <select class="select select-sm join-item w-52" aria-label="Court of a new game" bind:value={court}>
      {#each courts.data ?? [] as each (each.id)}<option value={each.id}>{each.name}</option>{/each}
    </select>
    <button class="btn btn-sm btn-primary join-item" onclick={begin}>New game</button>
  </span>
</div>
<div class="mt-3 flex flex-wrap gap-2">
  <select class="select select-sm w-auto" aria-label="Sport" bind:value={sport}>
    <option value="">all sports</option>
    {#each sports as each (each)}<option>{each}</option>{/each}
  </select>
  <input
    class="input input-sm w-60"
    type="search"
    aria-label="Look for a game"
    placeholder="name or words"
    bind:value={words}
  />
</div>
<Async {query}>
  {#snippet children(list)}
    {@const found = list.filter(
      ({ document: d }) =>
        (!sport || d.sport === sport) &&
        words
          .toLowerCase()
          .split(/\s+/)
          .every((word) => `${d.name} ${d.summary} ${d.sport}`.toLowerCase().includes(word)),
    )}
    <p class="sr-only" role="status">{found.length} {found.length === 1 ? 'game' : 'games'}</p>
    {#if found.length === 0}<p class="sheet mt-4">
        No game is like that. Take a word or the sport away, or begin a new game.
      </p>{/if}
    <ul class="cards mt-4" aria-label="Games">
      {#each found as game (game.id)}<li><GameOnList {game} /></li>{/each}
    </ul>
  {/snippet}
</Async>

<style>
  .cards {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(24rem, 100%), 1fr));
    gap: 1rem;
  }
</style>
