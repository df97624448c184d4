<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api, type Match, type Pairing } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys, studentsQuery, vocabularyQuery } from '../../lib/page/data'
  import { commonest, tenths, together } from '../../lib/words/words'
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
  const names = (ids: readonly string[]) => together(ids, name)
  /** The bars stand on one scale, as wide as the players are apart. */
  const scale = $derived({
    from: Math.min(0.45, ...(query.data?.standings ?? []).map((each) => chance(each.low))),
    to: Math.max(0.55, ...(query.data?.standings ?? []).map((each) => chance(each.high))),
  })
  const at = (share: number) => 2 + (96 * (share - scale.from)) / (scale.to - scale.from)
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
    class="select select-sm w-40"
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
        {by ? 'Games' : 'Points'} of 10 are those against a middling player. From {ranked.games}
        {ranked.games === 1 ? 'game' : 'games'} of the last year{ranked.leftOut
          ? `; ${ranked.leftOut} to uneven points say nothing about who wins games`
          : ''}. A place in this order is {tenths(ranked.sure)} of 10 sure.
      </p>
      <div class="mt-2 grid gap-6 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
        <div class="min-w-0 overflow-x-auto">
          <table class="table-sm table">
            <thead
              ><tr
                ><th scope="col">Here</th><th scope="col">Player</th><th scope="col" class="max-sm:hidden"
                  >Won</th
                ><th scope="col">{by ? 'Games' : 'Points'} of 10</th><th scope="col">Above the next</th></tr
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
                  <td class="whitespace-nowrap max-sm:hidden">{each.won} of {each.games}</td>
                  <td>
                    <span class="flex items-center gap-2">
                      <svg
                        viewBox="0 0 100 14"
                        preserveAspectRatio="none"
                        class="bar"
                        role="img"
                        aria-label="between {tenths(low)} and {tenths(high)}"
                      >
                        <line x1={at(0.5)} x2={at(0.5)} y1="0" y2="14" class="middle" />
                        <rect x={at(low)} y="4" width={at(high) - at(low)} height="6" class="spread" />
                        <rect x={at(each.chance) - 1} y="1" width="2" height="12" class="at" />
                      </svg>
                      <span class="drum-digits">{tenths(each.chance)}</span>
                    </span>
                  </td>
                  <td>{i < ranked.standings.length - 1 ? `${tenths(each.above)} of 10 sure` : ''}</td>
                </tr>
              {/each}
            </tbody>
          </table>
        </div>
        {#if proposed && here.length > 1}
          <div class="grid min-w-0 content-start gap-4">
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
    width: min(12rem, 24vw);
    height: 1.1rem;
  }
  .middle {
    stroke: var(--color-base-300);
    stroke-width: 1;
  }
  .spread {
    fill: color-mix(in oklab, var(--color-primary) 45%, transparent);
  }
  .at {
    fill: var(--color-primary);
  }
</style>
