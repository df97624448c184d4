<script lang="ts">
  import { createQuery, keepPreviousData, useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import Court from '../court/Court.svelte'
  import type { Drawing, Frame } from '../court/view'
  import {
    answer,
    api,
    isNew,
    Refusal,
    why,
    type Court as CourtShape,
    type Derivation,
    type Point,
    type Settings,
    type StandAsked,
  } from '../lib/api/client'
  import { keys, renew } from '../lib/page/data'
  import DerivationDialog from '../lib/parts/DerivationDialog.svelte'
  import { drafts } from '../lib/drafts/drafts.svelte'
  import { notices } from '../lib/parts/notice.svelte'
  import SaveState from '../lib/drafts/SaveState.svelte'
  import Replies from './Replies.svelte'
  import { sign } from './sign'
  import StandFields from './StandFields.svelte'
  import StandLayer from './StandLayer.svelte'
  import { placeRefused, type Standing } from './standing'

  /** Where to wait for what an opponent may play on a court. */
  interface Props {
    read: Settings
    courts: CourtShape[]
    asked: Standing
    /** The court is given by what it is shown in. */
    fixed?: boolean
    /** Only the picture, the situation and the sentence. */
    picture?: boolean
    /** Whom it is worked out for instead of somebody of the level. */
    student?: string
    /** Where the opponent is, unless the coach moves them. */
    from?: Point
  }
  let { read, courts, asked, fixed = false, picture = false, student, from }: Props = $props()
  const client = useQueryClient()
  const revision = $derived({ document: read.settings, revision: read.revision })
  // One draft for as long as it is shown.
  // svelte-ignore state_referenced_locally
  const draft = drafts.open('settings', 'coach', revision)
  $effect(() => draft.offer(revision))

  const court = $derived(courts.find((each) => each.id === asked.court) ?? courts[0])
  const situations = createQuery(() => ({
    queryKey: keys.situations(court?.sport ?? ''),
    queryFn: () => answer(api.GET('/api/situations', { params: { query: { sport: court?.sport } } })),
    staleTime: Infinity,
  }))
  const list = $derived(situations.data?.situations ?? [])
  const chosen = $derived(list.find((each) => each.situation.id === asked.situation) ?? list[0])
  const own = $derived(draft.document.likely?.find((each) => each.situation === chosen?.situation.id))
  const likely = $derived(own?.replies ?? chosen?.usual ?? [])
  const seen = $derived(own?.replies.map((each) => each.seen ?? 0) ?? likely.map(() => 0))
  // svelte-ignore state_referenced_locally
  let at = $state<Point | undefined>(from)
  let reach = $state(false)
  let derivation = $state<Derivation | null>(null)
  const body = $derived.by((): StandAsked | undefined =>
    chosen && court
      ? {
          court: court.id,
          situation: {
            ...chosen.situation,
            likely: likely.map(({ reply, chance }) => ({ reply, chance })),
          },
          seen,
          at,
          level: asked.level,
          opponent: asked.opponent,
          hand: asked.hand,
          theirHand: asked.theirHand,
          student,
        }
      : undefined,
  )
  const query = createQuery(() => ({
    queryKey: keys.stand($state.snapshot(body)),
    queryFn: () => answer(api.POST('/api/reckoner/stand', { body: $state.snapshot(body) as StandAsked })),
    enabled: body !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  }))
  const errors = $derived(query.error instanceof Refusal ? query.error.fields : {})
  const chances = $derived(Object.entries(errors).find(([path]) => path.startsWith('likely'))?.[1])
  const place = $derived(placeRefused(errors))
  const stood = $derived(query.error ? undefined : query.data)
  /** There was an answer once: what stands below it comes with it, and stays where it is. */
  let there = $state(false)
  $effect(() => {
    if (stood || query.error || situations.error) there = true
  })
  const nth = $derived(
    Math.max(0, stood?.answer.stands.findIndex((each) => each.school === asked.school) ?? 0),
  )
  const stand = $derived(stood?.answer.stands[nth])
  const drawing = $derived.by((): Drawing | undefined => {
    if (!court) return undefined
    const spots: Drawing['spots'] = []
    if (stood && stand) {
      if (nth > 0)
        spots.push(
          sign(
            'middle',
            'middle',
            stood.answer.stands[0]?.at ?? { x: 0, y: 0 },
            'where players wait by rote',
          ),
        )
      spots.push(sign('you', 'you', stand.at, stood.said[nth] ?? ''))
    }
    const opponent = at ?? stood?.answer.from
    if (opponent) spots.push(sign('opponent', 'opponent', opponent, 'hits from here; can be moved'))
    return { court, spots, feeds: [], noGo: [], noGoLines: [], measures: [] }
  })

  function move(handle: string, to: Point) {
    if (handle === 'opponent') at = to
  }

  /** The chances of the situation become the coach's own. */
  function change(change: (replies: { reply: string; chance: number; seen?: number }[]) => void) {
    const id = chosen?.situation.id
    if (!id) return
    const replies = $state.snapshot(likely).map((each) => ({ ...each }))
    change(replies)
    draft.change((d) => {
      d.likely = [...(d.likely ?? []).filter((each) => each.situation !== id), { situation: id, replies }]
    })
  }

  function usual() {
    const id = chosen?.situation.id
    draft.change((d) => {
      d.likely = (d.likely ?? []).filter((each) => each.situation !== id)
    })
  }

  async function makeDrill() {
    if (!stood || !court) return
    try {
      const document = await answer(
        api.POST('/api/situations/drill', {
          body: { court: court.id, level: asked.level, situation: stood.situation },
        }),
      )
      const kept = await answer(
        api.PUT('/api/drills/{id}', {
          params: { path: { id: crypto.randomUUID() }, header: isNew },
          body: document,
        }),
      )
      await renew(client, keys.drills)
      await push(`/drills/${kept.id}`)
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

{#snippet layer(frame: Frame, px: number)}
  {#if stood}<StandLayer answer={stood.answer} chosen={nth} {reach} {frame} {px} />{/if}
{/snippet}
<div class="holder">
  <div class="stand" class:picture>
    <div class="says">
      <StandFields
        {asked}
        {courts}
        situations={list}
        {chosen}
        {fixed}
        brief={picture}
        known={student !== undefined}
        {errors}
        onchosen={() => (at = undefined)}
      />
      {#if query.error && !chances && !place}
        <p class="text-error mt-3" role="alert">{why(query.error)}</p>
      {:else if stood && stand}
        <p class="mt-3 text-lg" role="status" aria-label="The answer">{stood.said[nth]}.</p>
        <p class="mt-1">
          {#if nth > 0}{stood.cost}{:else}{stood.said[1]}.{/if}
          <button class="link" onclick={() => (derivation = stood?.worked[nth] ?? null)}
            >how this came about</button
          >
        </p>
      {/if}
      {#if at}<p class="mt-1 text-sm">
          The opponent was moved. <button class="link" onclick={() => (at = undefined)}
            >Back to where they hit from</button
          >
        </p>{/if}
    </div>
    {#if drawing && there}
      <div class="drawn">
        <Court
          report={drawing}
          label="Where to stand on {court?.name}"
          under={layer}
          nudge={read.nudge}
          nudgeFine={read.nudgeFine}
          onmove={(handle, to) => move(handle, to.to)}
        />
        <label class="mt-1 flex items-center gap-2 text-sm"
          ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={reach} /> what is reached from there,
          at game pace</label
        >
        <p class="hint mt-1 text-sm" class:sr-only={picture}>
          {#if reach}The fuller a dot, the surer a ball that lands there is reached.{:else}The brighter, the
            more is held from there.{/if} Lines as thick as they are likely; broken ones are given up. Move the
          opponent O.
        </p>
      </div>
    {/if}
    {#if !picture && there}
      <div class="replies">
        <Replies
          {likely}
          {seen}
          answer={stood?.answer}
          chosen={nth}
          own={own !== undefined}
          error={chances}
          onchance={(i, chance) => change((replies) => replies[i] && (replies[i].chance = chance))}
          onseen={(i) => change((replies) => replies[i] && (replies[i].seen = (replies[i].seen ?? 0) + 1))}
          onusual={usual}
        />
        <div class="mt-2 flex flex-wrap items-center gap-3">
          <button class="btn btn-sm" disabled={!stood} onclick={makeDrill}>Make a drill of it</button>
          <button class="btn btn-sm" disabled={!draft.canUndo} onclick={() => draft.undo()}>Undo</button>
          <SaveState {draft} />
        </div>
      </div>
    {/if}
  </div>
</div>
<DerivationDialog {derivation} onclose={() => (derivation = null)} />

<style>
  .holder {
    container-type: inline-size;
  }
  .stand {
    display: grid;
    gap: 0.75rem 1.5rem;
    grid-template: 'says drawn' auto 'replies drawn' 1fr / minmax(0, 1fr) minmax(0, 22rem);
    align-items: start;
  }
  .says {
    grid-area: says;
  }
  .drawn {
    grid-area: drawn;
  }
  .replies {
    grid-area: replies;
  }
  .drawn :global(svg) {
    width: min(100%, (100dvh - 14rem) * var(--shape));
    min-width: 0;
    max-width: none;
    margin-inline: auto;
  }
  @container (max-width: 800px) {
    .stand {
      grid-template: 'says' 'drawn' 'replies' / minmax(0, 1fr);
      gap: 1rem;
    }
  }
  .stand.picture {
    grid-template: 'drawn' 'says' / minmax(0, 1fr);
  }
  .picture .drawn :global(svg) {
    width: min(100%, (100dvh - 27rem) * var(--shape));
  }
</style>
