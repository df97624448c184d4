<script lang="ts">
  import { readNumber } from '../../lib/fields/numbers'
  import { useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, over, plainly, type Match, type Played, type Round } from '../../lib/api/client'
  import { keys, renew } from '../../lib/page/data'
  import TextField from '../../lib/fields/TextField.svelte'
  import { onDay, together } from '../../lib/words/words'

  /** Results that are entered: of a round robin by its timetable, or of an evening, pair by pair. */
  interface Props {
    played: Played
  }
  let { played }: Props = $props()
  const client = useQueryClient()
  const name = (id: string) => played.names[id] ?? id
  const names = (ids: readonly string[]) => together(ids, name)
  let wrong = $state('')
  /** What is typed of a fixture, or of the next result, and not whole yet. */
  let typed = $state<Record<string, { near?: number; far?: number }>>({})
  let next = $state({ near: [] as string[], far: [] as string[], nearPoints: 0, farPoints: 0 })
  const entered = $derived(played.document.entered ?? [])
  type Fixture = Played['fixtures'][number]
  const key = ({ slot, near, far }: Fixture) => `${slot} ${near.join('+')} ${far.join('+')}`
  const is =
    ({ slot, near, far }: Fixture) =>
    (round: Round) =>
      String(round.near) === String(near) && String(round.far) === String(far) && round.slot === slot
  const found = (fixture: Fixture) => entered.find(is(fixture))
  let saving: Promise<unknown> = Promise.resolve()

  /** Changes are made one after the other, each to what the server has then. */
  function change(alter: (document: Match) => Match) {
    saving = saving.then(async () => {
      const now = client.getQueryData<Played>(keys.playedGame(played.id)) ?? played
      try {
        const saved = await answer(
          api.PUT('/api/played/{id}', {
            params: { path: { id: played.id }, header: over(now.revision) },
            body: alter(now.document),
          }),
        )
        client.setQueryData(keys.playedGame(played.id), saved)
        wrong = ''
        await renew(client, [...keys.played, 'ranking'])
      } catch (error) {
        wrong = plainly(error)
      }
    })
  }

  function type(fixture: Fixture, which: 'near' | 'far', text: string) {
    const n = readNumber(text)
    if (text.trim() !== '' && (n === undefined || !Number.isInteger(n) || n < 0 || n > 1000)) {
      wrong = 'Points are whole numbers from 0 to 1000.'
      return
    }
    const { near, far, slot } = fixture
    const k = key(fixture)
    const there = found(fixture)
    const now = { near: there?.nearPoints, far: there?.farPoints, ...typed[k], [which]: n }
    typed[k] = now
    const others = (list: readonly Round[]) => list.filter((round) => !is(fixture)(round))
    if (now.near !== undefined && now.far !== undefined) {
      const round = { near, far, nearPoints: now.near, farPoints: now.far, slot }
      change((d) => ({ ...d, entered: [...others(d.entered ?? []), round] }))
    } else if (there) change((d) => ({ ...d, entered: others(d.entered ?? []) }))
  }

  function add() {
    const round = $state.snapshot(next)
    change((d) => ({ ...d, entered: [...(d.entered ?? []), round] }))
    next = { near: [], far: [], nearPoints: 0, farPoints: 0 }
  }
  const pick = (side: 'near' | 'far', id: string) => {
    const other = side === 'near' ? 'far' : 'near'
    next[other] = next[other].filter((each) => each !== id)
    next[side] = next[side].includes(id) ? next[side].filter((each) => each !== id) : [...next[side], id]
  }
  /** When a slot of the timetable begins, after the first one. */
  const after = (minute: number) => (minute === 0 ? 'at once' : `after ${minute} min`)
</script>

<div class="flex flex-wrap items-center gap-3">
  <a class="link link-hover text-sm" href="#/games/played">Played</a>
  <h1>{played.document.title}</h1>
  <span class="text-sm">{onDay(played.document.date, 'short')}, {played.document.sport}</span>
  <a class="btn btn-sm ml-auto" href="#/games/ranking">Ranking</a>
</div>
<div class="mt-2 max-w-sm">
  <TextField
    label="What it is called"
    value={played.document.title}
    onchange={(title) => change((d) => ({ ...d, title }))}
  />
</div>
{#if wrong}<p class="text-error mt-2" role="alert">{wrong}</p>{/if}
<div class="mt-4 grid gap-6 lg:grid-cols-2">
  {#if played.document.robin}
    <section aria-label="Games">
      <h2 class="text-lg">Games, {entered.length} of {played.fixtures.length} played</h2>
      <table class="table-sm table">
        <thead
          ><tr
            ><th scope="col">When</th><th scope="col">Court</th><th scope="col">Who</th><th scope="col"
              >Points</th
            ></tr
          ></thead
        >
        <tbody>
          {#each played.fixtures as fixture, i (key(fixture))}
            {@const there = found(fixture)}
            <tr class:slot={fixture.slot !== played.fixtures[i - 1]?.slot}>
              <td class="text-sm whitespace-nowrap"
                >{fixture.slot !== played.fixtures[i - 1]?.slot ? after(fixture.minute) : ''}</td
              >
              <td class="drum-digits">{fixture.court}</td>
              <td>{names(fixture.near)} – {names(fixture.far)}</td>
              <td class="whitespace-nowrap">
                {#each ['near', 'far'] as const as which (which)}
                  <input
                    class="input input-sm w-14 text-center"
                    inputmode="numeric"
                    aria-label="{names(fixture[which])} against {names(
                      fixture[which === 'near' ? 'far' : 'near'],
                    )}: points"
                    value={typed[key(fixture)]?.[which] ??
                      (which === 'near' ? there?.nearPoints : there?.farPoints) ??
                      ''}
                    onchange={(event) => type(fixture, which, event.currentTarget.value)}
                  />
                  {which === 'near' ? ':' : ''}
                {/each}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </section>
    <section aria-label="Table of results">
      <h2 class="text-lg">Table</h2>
      <table class="table-sm table">
        <thead
          ><tr
            ><th scope="col">Place</th><th scope="col">Who</th><th scope="col">Played</th><th scope="col"
              >Won</th
            ><th scope="col">Drawn</th><th scope="col">Lost</th><th scope="col">Points</th></tr
          ></thead
        >
        <tbody>
          {#each played.table as line (line.names.join())}
            <tr
              ><td class="drum-digits">{line.place}</td><th scope="row" class="font-medium"
                >{names(line.names)}</th
              ><td>{line.played}</td><td>{line.won}</td><td>{line.drawn}</td><td>{line.lost}</td><td
                class="whitespace-nowrap">{line.for} : {line.against}</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    </section>
  {:else}
    <section aria-label="Next result">
      <h2 class="text-lg">Next result</h2>
      <div class="grid grid-cols-2 gap-4">
        {#each ['near', 'far'] as const as which, i (which)}
          <fieldset>
            <legend class="font-medium">{i === 0 ? 'One side' : 'The other side'}</legend>
            <ul class="grid gap-1">
              {#each played.document.players as id (id)}
                <li>
                  <button
                    class="btn btn-sm w-full justify-start"
                    class:btn-primary={next[which].includes(id)}
                    aria-pressed={next[which].includes(id)}
                    onclick={() => pick(which, id)}>{name(id)}</button
                  >
                </li>
              {/each}
            </ul>
            <label class="mt-2 flex items-center gap-2"
              >Points <input
                class="input input-sm w-16"
                inputmode="numeric"
                value={which === 'near' ? next.nearPoints : next.farPoints}
                onchange={(event) => {
                  const n = readNumber(event.currentTarget.value)
                  if (n === undefined || !Number.isInteger(n) || n < 0 || n > 1000) {
                    wrong = 'Points are whole numbers from 0 to 1000.'
                    return
                  }
                  if (which === 'near') next.nearPoints = n
                  else next.farPoints = n
                }}
              /></label
            >
          </fieldset>
        {/each}
      </div>
      <button
        class="btn btn-primary mt-3"
        disabled={!next.near.length || !next.far.length || next.nearPoints + next.farPoints === 0}
        onclick={add}>Add it</button
      >
    </section>
    <section aria-label="Results">
      <h2 class="text-lg">Results, {entered.length}</h2>
      <ul class="grid gap-1">
        {#each entered as round, i (i)}
          <li class="flex items-center gap-2">
            <span>{names(round.near)} – {names(round.far)}</span>
            <span class="drum-digits">{round.nearPoints} : {round.farPoints}</span>
            <button
              class="btn btn-xs ml-auto"
              onclick={() => change((d) => ({ ...d, entered: (d.entered ?? []).filter((_, k) => k !== i) }))}
              >Take out<span class="sr-only"> {names(round.near)} against {names(round.far)}</span></button
            >
          </li>
        {/each}
      </ul>
    </section>
  {/if}
</div>

<style>
  .slot > td,
  .slot {
    border-top: 2px solid var(--color-base-300);
  }
</style>
