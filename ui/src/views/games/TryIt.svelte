<script lang="ts">
  import { answer, api, plainly, type GameAward, type GameDocument } from '../../lib/api/client'
  import { studentsQuery } from '../../lib/page/data'
  import { tenths } from '../../lib/words/words'
  import type { Desk } from './desk.svelte'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import Tick from './Tick.svelte'

  /** A game played through by its chances, a score that is fair, and what to play to in the time. */
  interface Props {
    desk: Desk
  }
  let { desk }: Props = $props()
  const worked = $derived(desk.worked)
  const asked = $derived(desk.asked)
  const letters = (players: readonly string[]) => players.join(' ')
  /** The sides differ in more than how many rallies they win: by who feeds, and in how often a bonus comes. */
  // svelte-ignore state_referenced_locally
  let apart = $state(asked.chances.nearFeeds !== asked.chances.farFeeds)
  const feeds = $derived(
    desk.rules.feed.kind === 'the coach feeds' ? '' : desk.rules.feed.kind ? 'feeds' : 'serves',
  )
  /** The near side wins so much, whoever feeds. */
  const set = (share: number) => {
    asked.chances.nearFeeds = share
    asked.chances.farFeeds = share
  }
  const students = studentsQuery()
  const list = $derived(
    (students.data ?? []).filter(({ profile }) => profile.sport === desk.draft.document.sport),
  )
  /** Who is to play, and what is thought of them. */
  let pair = $state({ near: '', far: '' })
  let thought = $state('')

  /** between takes the chance of a rally from what two have won against each other. */
  async function between(side: 'near' | 'far', id: string) {
    pair[side] = id
    thought = ''
    if (!pair.near || !pair.far) return
    try {
      const document = $state.snapshot(desk.draft.document) as GameDocument
      const body = { document, ...$state.snapshot(pair), rallies: asked.rallies }
      const h = await answer(api.POST('/api/games/handicap', { body }))
      set(h.won)
      thought = `${h.results ? `From ${h.results} points against each other` : 'They have not met yet; from their levels and what they did against others'}. ${h.sentence}`
    } catch (error) {
      thought = plainly(error)
    }
  }
  /** How often a bonus comes by a side, of ten: of the rallies that it wins or loses, else of all. */
  const often = (award: GameAward, side: 'near' | 'far') => {
    const of = (list = asked.chances.awards) => list?.find((each) => each.award === award.id)?.[side]
    return Math.round(100 * (of() ?? of(worked?.chances.awards) ?? 0)) / 10
  }
  function comes(award: GameAward, side: 'near' | 'far' | 'both', tens: number) {
    const share = Math.max(0, Math.min(10, tens)) / 10
    const others = (asked.chances.awards ?? []).filter((each) => each.award !== award.id)
    const near = side === 'far' ? often(award, 'near') / 10 : share
    const far = side === 'near' ? often(award, 'far') / 10 : share
    asked.chances.awards = [...others, { award: award.id, near, far }]
  }
  /** Whose chances are asked for: one figure for both, or one each. */
  const sidesOf = (award: GameAward) =>
    apart && !award.by ? (['near', 'far'] as const) : (['both'] as const)
  const of = {
    'wins the rally': 'rallies won',
    'wins the game': 'rallies won',
    'loses the rally': 'rallies lost',
  }
  const take = (near: number, far: number) =>
    desk.change((r) =>
      Object.assign(r.end, { near, far, ...(near !== far ? { winBy: undefined, cap: undefined } : {}) }),
    )
</script>

{#snippet share(label: string, value: number, onset: (won: number) => void)}
  <label class="mt-1 block max-w-md">
    <span class="font-medium">{label} <span class="drum-digits">{tenths(value)}</span> of 10 rallies</span>
    <input
      class="range range-sm mt-1 w-full"
      type="range"
      min="0.1"
      max="0.9"
      step="0.01"
      {value}
      oninput={(event) => onset(Number(event.currentTarget.value))}
    />
  </label>
{/snippet}

<div class="grid gap-4">
  <div>
    {@render share(
      feeds && apart ? `The near side wins, where it ${feeds},` : 'The near side wins',
      asked.chances.nearFeeds,
      (won) => (feeds && apart ? (asked.chances.nearFeeds = won) : set(won)),
    )}
    {#if feeds && apart}
      {@render share(
        `and where the far side ${feeds}`,
        asked.chances.farFeeds,
        (won) => (asked.chances.farFeeds = won),
      )}
    {/if}
    {#if feeds || desk.rules.awards?.length}
      <Tick
        label={feeds ? `who ${feeds} makes a difference, and the sides differ` : 'the sides differ'}
        checked={apart}
        onchange={(is) => {
          apart = Boolean(is)
          if (!apart) {
            set(asked.chances.nearFeeds)
            asked.chances.awards = asked.chances.awards?.map((each) => ({ ...each, far: each.near }))
          }
        }}
      />
    {/if}
  </div>
  <div class="flex flex-wrap items-center gap-2">
    <span class="text-sm">as it is between</span>
    {#each ['near', 'far'] as const as side (side)}
      <select
        class="select select-sm w-auto"
        aria-label="Who plays on the {side} side"
        value={pair[side]}
        onchange={(event) => void between(side, event.currentTarget.value)}
      >
        <option value="">{side === 'near' ? 'near: anybody' : 'far: anybody'}</option>
        {#each list as student (student.id)}<option value={student.id}>{student.profile.name}</option>{/each}
      </select>
    {/each}
    {#if thought}<p class="w-full text-sm" role="status">{thought}</p>{/if}
  </div>
  {#if desk.rules.awards?.length}
    <fieldset>
      <legend class="text-sm">How often it comes, of 10</legend>
      <div class="flex flex-wrap gap-3">
        {#each desk.rules.awards as award (award.id)}
          {#each sidesOf(award) as side (side)}
            <div class="w-44">
              <NumberField
                label={side === 'both' ? award.name : `${award.name}, ${side}`}
                unit={award.ends ? of[award.ends] : 'rallies'}
                value={often(award, side === 'both' ? 'near' : side)}
                step={0.5}
                min={0}
                onchange={(tens) => comes(award, side, tens)}
              />
            </div>
          {/each}
        {/each}
      </div>
    </fieldset>
  {/if}
  <section aria-label="A fair score">
    <div class="flex flex-wrap items-end gap-3">
      <h2 class="text-lg">Fair would be</h2>
      <div class="w-36">
        <NumberField
          label="About so long"
          unit="rallies"
          value={asked.rallies}
          min={1}
          onchange={(n) => (asked.rallies = Math.max(1, Math.min(150, Math.round(n))))}
        />
      </div>
    </div>
    {#if worked?.fairWhy}<p class="mt-1">{worked.fairWhy}</p>{/if}
    <ul class="mt-2 flex flex-wrap gap-2">
      {#each worked?.fair ?? [] as pair (`${pair.near}:${pair.far}`)}
        <li>
          <button
            class="btn h-auto flex-col gap-0 py-1"
            disabled={desk.builtIn || (desk.rules.end.near === pair.near && desk.rules.end.far === pair.far)}
            onclick={() => take(pair.near, pair.far)}
          >
            <span class="drum-digits text-xl">{pair.near} : {pair.far}</span>
            <span class="text-sm font-normal"
              >won {tenths(pair.wins)} of 10, {pair.rallies.toFixed(0)} rallies</span
            >
          </button>
        </li>
      {/each}
    </ul>
  </section>
  <section aria-label="What to play to">
    <div class="flex flex-wrap items-end gap-3">
      <h2 class="text-lg">In the time there is</h2>
      <div class="w-32">
        <NumberField
          label="Minutes"
          unit="min"
          value={asked.minutes}
          min={0}
          onchange={(n) => (asked.minutes = Math.max(0, Math.min(90, n)))}
        />
      </div>
      {#if worked?.toNear}
        <button class="btn" disabled={desk.builtIn} onclick={() => take(worked.toNear, worked.toFar)}
          >play to {worked.toNear === worked.toFar
            ? worked.toNear
            : `${worked.toNear} : ${worked.toFar}`}</button
        >
        <span class="text-sm">four games of five are over by then</span>
      {:else if asked.minutes > 0 && worked}<p>
          {desk.rules.end.near ? 'Not even a single point fits.' : 'The game is not played to points.'}
        </p>{/if}
    </div>
  </section>
  <section aria-label="A game played through">
    <div class="flex flex-wrap items-center gap-3">
      <h2 class="text-lg">A game by these chances</h2>
      <button class="btn btn-sm" onclick={() => (asked.seed = (asked.seed % 1000) + 1)}>Another one</button>
    </div>
    {#if worked}
      <table class="table-sm mt-1 table">
        <thead
          ><tr
            ><th scope="col">What happens</th><th scope="col">Score</th>{#if desk.rules.score}<th scope="col"
                >Own scores</th
              >{/if}<th scope="col" class="max-sm:hidden">Then</th></tr
          ></thead
        >
        <tbody>
          {#each worked.steps as step, i (i)}
            <tr>
              <td
                >{step.words ||
                  `Near: ${letters(step.state.spots.filter((_, k) => desk.rules.spots[k]?.side === 'near'))}; far: ${letters(step.state.spots.filter((_, k) => desk.rules.spots[k]?.side === 'far')) || 'the drill'}`}</td
              >
              <td class="drum-digits whitespace-nowrap">{step.state.points[0]} : {step.state.points[1]}</td>
              {#if desk.rules.score}<td class="drum-digits whitespace-nowrap"
                  >{step.state.personal.join(' ')}</td
                >{/if}
              <td class="max-sm:hidden">{step.next}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </section>
</div>
