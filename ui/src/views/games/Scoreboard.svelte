<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import { answer, api, isNew, type Played } from '../../lib/api/client'
  import { keys, renew } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import { today } from '../../lib/words/words'
  import CountedStrokes from '../../game/CountedStrokes.svelte'
  import GameCourt from '../../game/GameCourt.svelte'
  import { ownScores } from '../../game/own'
  import { Scoring, type Device, type Tap } from './scoring.svelte'
  import SideActs from './SideActs.svelte'

  /** The scoreboard: a press on a side is a rally that it won, the rest is named as the rule names it. */
  interface Props {
    first: Played
    device: Device
  }
  let { first, device }: Props = $props()
  const client = useQueryClient()
  // One for as long as the view is open.
  // svelte-ignore state_referenced_locally
  const scoring = new Scoring(first, device)
  $effect(() => () => scoring.leave())
  const played = $derived(scoring.played)
  const rules = $derived(played.document.rules)
  const state = $derived(played.state)
  const busy = $derived(scoring.busy)
  const name = (id: string) => played.names[id] ?? id
  /** For who only looks on. */
  let big = $state(false)
  const side = (which: 'near' | 'far') =>
    (state?.spots ?? []).filter((_, i) => rules?.spots[i]?.side === which).map(name)
  const others = createQuery(() => ({
    queryKey: keys.played,
    queryFn: () => answer(api.GET('/api/played')),
    refetchInterval: 5000,
  }))
  /** What is played on the other courts now. */
  const running = $derived(
    (others.data?.played ?? []).filter(
      (each) => each.state && !each.state.over && each.document.date === today() && each.id !== played.id,
    ),
  )
  const tap = (event: Tap) => void scoring.tap(event)
  const own = $derived(ownScores(played))

  async function again() {
    const { rules, title, sport, court, game, lesson, players } = played.document
    try {
      const id = v7()
      const body = { version: 1, rules, title, sport, court, game, lesson, players, date: today() }
      await answer(api.PUT('/api/played/{id}', { params: { path: { id }, header: isNew }, body }))
      await renew(client, keys.played)
      await push(`/games/played/${id}`)
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

{#snippet half(which: 'near' | 'far')}
  {@const players = side(which)}
  {@const points = state?.points[which === 'near' ? 0 : 1]}
  <section class="half" aria-label="{which} side">
    <button
      class="won rounded-box"
      disabled={busy || state?.over}
      onclick={() => tap({ kind: 'won', side: which })}
    >
      <span class="who">
        {players.join(' and ') || 'the drill'}
        {#if state?.feeds === which && state.feeder && !state.over}<span class="feeds"
            >{rules?.feed.kind ? 'feeds' : 'serves'}</span
          >{/if}
        {#if state?.net === which}<span class="feeds">at the net</span>{/if}
      </span>
      <span class="points drum-digits">{points}</span>
      {#if state?.bonus[which === 'near' ? 0 : 1]}<span class="text-sm"
          >+{state.bonus[which === 'near' ? 0 : 1]} once the rally is over</span
        >{/if}
      <span class="sr-only">wins the rally</span>
    </button>
    {#if !big && !state?.over}<SideActs {played} side={which} {busy} {tap} />{/if}
  </section>
{/snippet}

<div class="board" class:big>
  <div class="flex flex-wrap items-center gap-2">
    <a class="link link-hover text-sm" href="#/games/played">Played</a>
    <h1 class="text-lg">{played.document.title}</h1>
    <button class="btn btn-xs ml-auto" aria-pressed={big} onclick={() => (big = !big)}
      >{big ? 'Count here' : 'Only look on'}</button
    >
  </div>
  {#if running.length && !big}
    <ul class="flex flex-wrap gap-1" aria-label="Other courts">
      {#each running as each (each.id)}<li>
          <a class="btn btn-xs" href="#/games/played/{each.id}"
            >{each.document.players
              .slice(0, 2)
              .map((id) => each.names[id])
              .join(', ')}
            <span class="drum-digits">{each.state?.points.join(':')}</span></a
          >
        </li>{/each}
    </ul>
  {/if}
  {@render half('far')}
  <p class="next" role="status">
    {#if scoring.told}<strong class="text-error">{scoring.told}</strong>{:else}{played.next}{/if}
    {#if played.last}<span class="hint block text-sm">{played.last}</span>{/if}
    {#if scoring.delivery.storageError}<span class="text-error block text-sm"
        >This device cannot keep anything: leave this page open until Hodometer has answered.</span
      >{:else if scoring.delivery.wrong}<span class="text-error block text-sm"
        >{scoring.delivery.wrong} What was tapped is kept on this device and sent again.</span
      >{:else if !scoring.delivery.reached}<span class="hint block text-sm"
        >Kept on this device until Hodometer answers.</span
      >{/if}
    {#if state?.wins.some((n) => n > 0)}<span class="hint block text-sm"
        >little match {state.wins.join(' : ')}</span
      >{/if}
  </p>
  {@render half('near')}
  {#if state?.over}
    <div class="flex flex-wrap gap-2">
      <button class="btn btn-primary" onclick={again}>Once more</button>
      <a class="btn" href="#/games/ranking">Ranking</a>
      <button class="btn" disabled={busy} onclick={() => tap({ kind: 'undo' })}>Take back</button>
    </div>
  {:else if !big}
    <div class="acts">
      <button class="btn" disabled={busy || !played.last} onclick={() => tap({ kind: 'undo' })}
        >Take back</button
      >
      <button class="btn" disabled={busy} onclick={() => tap({ kind: 'redo' })}>Put back</button>
      {#if !rules?.feed.kind}<button class="btn" disabled={busy} onclick={() => tap({ kind: 'fault' })}
          >Serve out</button
        >{/if}
      <button class="btn" disabled={busy} onclick={() => tap({ kind: 'again' })}>Play it again</button>
    </div>
  {/if}
  {#if own.length}
    <table class="table-sm table w-auto" aria-label="Own scores">
      <tbody>
        {#each own as each (each.id)}<tr
            ><th scope="row" class="font-normal">{name(each.id)}</th><td class="drum-digits text-lg"
              >{each.points}</td
            ></tr
          >{/each}
      </tbody>
    </table>
  {/if}
  <CountedStrokes {played} />
  {#if state?.waiting.length}<p class="text-sm">Waiting: {state.waiting.map(name).join(', ')}</p>{/if}
  {#if !big}
    <details>
      <summary class="cursor-pointer">Who stands where</summary>
      {#if played.onCourt}<div class="where">
          <GameCourt on={played.onCourt} label="Who stands where" names={state?.spots.map(name)} />
        </div>{/if}
      <ol class="text-sm">
        {#each state?.spots ?? [] as id, i (i)}<li>
            {i + 1}: {name(id)}, {rules?.spots[i]?.side} side
          </li>{/each}
      </ol>
    </details>
    <details>
      <summary class="cursor-pointer">The rules</summary>
      <ul class="list-disc pl-5 text-sm">
        {#each played.rules as rule, i (i)}<li>{rule}</li>{/each}
      </ul>
    </details>
    {#if !state?.over}<details>
        <summary class="cursor-pointer"
          >Choices{#if state && (state.choices[0] || state.choices[1])}: {state.choices[0]} right, {state
              .choices[1]} wrong{/if}</summary
        >
        <div class="mt-1 flex gap-1">
          <button class="btn btn-sm" disabled={busy} onclick={() => tap({ kind: 'chose', right: true })}
            >Right choice</button
          >
          <button class="btn btn-sm" disabled={busy} onclick={() => tap({ kind: 'chose', right: false })}
            >Wrong choice</button
          >
        </div>
      </details>{/if}
    {#if !state?.over}<details>
        <summary class="cursor-pointer">End it here</summary>
        <button class="btn btn-sm mt-1" disabled={busy} onclick={() => tap({ kind: 'time' })}
          >Time is up: the game is over</button
        >
      </details>{/if}
  {/if}
</div>

<style>
  .board {
    display: grid;
    gap: 0.5rem;
    max-width: 34rem;
    margin-inline: auto;
  }
  .half {
    display: grid;
    gap: 0.35rem;
  }
  .won {
    display: grid;
    justify-items: center;
    gap: 0.1rem;
    width: 100%;
    min-height: 7.5rem;
    padding: 0.5rem;
    background: var(--drum);
    color: var(--on-drum);
    cursor: pointer;
  }
  .won:disabled {
    cursor: default;
  }
  .points {
    font-size: 4.2rem;
    line-height: 1;
  }
  .feeds {
    margin-left: 0.35rem;
    padding: 0 0.4rem;
    border: 1px solid currentcolor;
    border-radius: var(--radius-field);
    font-size: 0.875rem;
  }
  .next {
    min-height: 3rem;
    text-align: center;
    font-weight: 600;
  }
  .next .hint {
    font-weight: 400;
  }
  .acts {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(6.5rem, 1fr));
    gap: 0.35rem;
  }
  .where {
    max-width: 14rem;
  }
  .big .points {
    font-size: clamp(6rem, 28vh, 16rem);
  }
  .big {
    max-width: none;
  }
</style>
