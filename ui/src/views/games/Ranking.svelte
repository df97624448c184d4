<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api, type Match, type Pairing } from '../../lib/api/client'
  import Async from '../../lib/Async.svelte'
  import { keys, studentsQuery, vocabularyQuery } from '../../lib/data'
  import { commonest } from '../../lib/words'
  import Rooms from './Rooms.svelte'

  /** Players in order from what they played, how sure that is, and who should play whom. */
  const students = studentsQuery()
  const vocabulary = vocabularyQuery()
  let chosen = $state<Match['sport']>()
  let by = $state<'' | 'games'>('')
  let away = $state<string[]>([])
  /** The sport that most play. */
  const usual = $derived(commonest((students.data ?? []).map(({ profile }) => profile.sport)))
  const sport = $derived(chosen ?? usual ?? 'tennis')
  const ask = (who: string[]) =>
    answer(api.GET('/api/played/ranking', { params: { query: { sport, who, ...(by ? { by } : {}) } } }))
  const query = createQuery(() => ({
    queryKey: [...keys.played, 'ranking', sport, by],
    queryFn: () => ask([]),
  }))
  const here = $derived(
    (query.data?.standings ?? []).map((each) => each.player).filter((id) => !away.includes(id)),
  )
  const pairs = createQuery(() => ({
    queryKey: [...keys.played, 'ranking', sport, by, here],
    queryFn: () => ask(here),
    enabled: here.length > 1 && away.length > 0,
  }))
  const proposed = $derived(away.length > 0 ? pairs.data : query.data)
  const name = (id: string) => query.data?.names[id] ?? id
  const names = (ids: readonly string[]) => ids.map(name).join(' and ')
  const tenths = (share: number) => (10 * share).toFixed(1)
  const chance = (strength: number) => 1 / (1 + Math.exp(-strength))
</script>

{#snippet matches(title: string, list: readonly Pairing[])}
  {#if list.length}
    <section aria-label={title}>
      <h3 class="font-medium">{title}</h3>
      <ul>
        {#each list as match, i (i)}<li>
            {names(match.near)} – {names(match.far)}
            <span class="hint text-sm">{tenths(match.chance)} : {tenths(1 - match.chance)}</span>
          </li>{/each}
      </ul>
    </section>
  {/if}
{/snippet}

<div class="flex flex-wrap items-center gap-3">
  <h1>Games</h1>
  <Rooms here="ranking" />
</div>
<div class="mt-3 flex flex-wrap gap-2">
  <select
    class="select select-sm w-auto"
    aria-label="Sport"
    value={sport}
    onchange={(event) => (chosen = event.currentTarget.value as Match['sport'])}
  >
    {#each vocabulary.data?.sports ?? [] as each (each.sport)}<option>{each.sport}</option>{/each}
  </select>
  <select class="select select-sm w-auto" aria-label="It rests on" bind:value={by}>
    <option value="">by the points that were won</option>
    <option value="games">by the games that were won</option>
  </select>
</div>
<Async {query}>
  {#snippet children(ranked)}
    {#if ranked.standings.length === 0}
      <p class="sheet mt-4">
        Nobody has played {sport} yet. Play <a class="link" href="#/games">a game</a>, or enter
        <a class="link" href="#/games/played">results</a>.
      </p>
    {:else}
      <p class="mt-3 text-sm">
        From {ranked.games}
        {ranked.games === 1 ? 'game' : 'games'} of the last year{ranked.leftOut
          ? `; ${ranked.leftOut} to uneven points say nothing about who wins games`
          : ''}. A place in this order is {tenths(ranked.sure)} of 10 sure.
      </p>
      <div class="mt-2 grid gap-6 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
        <table class="table-sm table">
          <thead
            ><tr
              ><th scope="col">Here</th><th scope="col">Player</th><th scope="col">Won</th><th scope="col"
                >Of 10 {by ? 'games' : 'points'} against a middling player</th
              ><th scope="col">Above the next</th></tr
            ></thead
          >
          <tbody>
            {#each ranked.standings as each, i (each.player)}
              {@const low = chance(each.low)}
              {@const high = chance(each.high)}
              <tr>
                <td
                  ><input
                    type="checkbox"
                    class="checkbox checkbox-sm"
                    aria-label="{name(each.player)} is here"
                    checked={!away.includes(each.player)}
                    onchange={() =>
                      (away = away.includes(each.player)
                        ? away.filter((id) => id !== each.player)
                        : [...away, each.player])}
                  /></td
                >
                <th scope="row" class="font-medium"
                  ><span class="drum-digits">{i + 1}</span>
                  <a class="link link-hover" href="#/students/{each.player}">{name(each.player)}</a></th
                >
                <td class="whitespace-nowrap">{each.won} of {each.games}</td>
                <td>
                  <span class="flex items-center gap-2">
                    <svg
                      viewBox="0 0 100 14"
                      class="bar"
                      role="img"
                      aria-label="between {tenths(low)} and {tenths(high)}"
                    >
                      <line x1="50" x2="50" y1="0" y2="14" class="middle" />
                      <rect x={100 * low} y="4" width={100 * (high - low)} height="6" rx="3" class="range" />
                      <circle cx={100 * each.chance} cy="7" r="4" class="at" />
                    </svg>
                    <span class="drum-digits">{tenths(each.chance)}</span>
                  </span>
                </td>
                <td>{i < ranked.standings.length - 1 ? `${tenths(each.above)} of 10 sure` : ''}</td>
              </tr>
            {/each}
          </tbody>
        </table>
        {#if proposed && here.length > 1}
          <div class="grid content-start gap-4">
            <h2 class="text-lg">Who should play whom</h2>
            {@render matches('Singles', proposed.singles)}
            {#if proposed.waiting.length}<p class="text-sm">Waiting: {names(proposed.waiting)}</p>{/if}
            {@render matches('Pairs', proposed.doubles)}
            <section aria-label="Two teams">
              <h3 class="font-medium">Two teams</h3>
              {#each proposed.teams as team, i (i)}<p>{i + 1}: {team.map(name).join(', ')}</p>{/each}
            </section>
          </div>
        {/if}
      </div>
    {/if}
  {/snippet}
</Async>

<style>
  .bar {
    width: min(12rem, 40vw);
    height: 1.1rem;
  }
  .middle {
    stroke: var(--color-base-300);
    stroke-width: 1;
  }
  .range {
    fill: color-mix(in oklab, var(--color-primary) 45%, transparent);
  }
  .at {
    fill: var(--color-primary);
  }
</style>
