<script lang="ts">
  import type { GameRules } from '../../lib/api/client'
  import Awards from './Awards.svelte'
  import Count from './Count.svelte'
  import Counted from './Counted.svelte'
  import type { Desk } from './desk.svelte'
  import EndSentence from './EndSentence.svelte'
  import Phrase from './Phrase.svelte'
  import Pick from './Pick.svelte'
  import Restrictions from './Restrictions.svelte'
  import Tick from './Tick.svelte'
  import { courtsQuery } from '../../lib/page/data'
  import { changes, feeds, restarts, scores, sidesOrNone, turnings } from './choices'

  /** The rules of a game as sentences with choices in them. */
  interface Props {
    desk: Desk
  }
  let { desk }: Props = $props()
  const courts = courtsQuery()
  const rules = $derived(desk.rules)
  const fixed = $derived(desk.builtIn)
  const on = (side: 'near' | 'far') => rules.spots.filter((spot) => spot.side === side).length
  const error = (path: string) => desk.errors[`rules.${path}`] ?? ''
  const feed = (change: Partial<GameRules['feed']>) => desk.change((r) => Object.assign(r.feed, change))
  const some = (n: number) => n || undefined
  const unit = $derived(rules.mini ? 'little matches' : 'rallies')
  const feeder = $derived(feeds.find((each) => each.value === (rules.feed.kind ?? ''))?.does ?? 'serves')
  /** Players who change sides have their own scores; places that stay are scored by side. */
  const rotate = (every: number) =>
    desk.change((r) => {
      r.rotation = every ? { ...r.rotation, every } : {}
      if (every) {
        r.score = 'each player’s own'
        r.end.winBy = undefined
        r.end.far = r.end.near
      } else r.end.rounds = undefined
    })
  const mini = (is: boolean) =>
    desk.change((r) => {
      r.mini = is ? { balls: ['first', 'second', 'third'], won: 1, swept: 2 } : undefined
      r.rally = is ? 0 : 1
    })
</script>

{#snippet wrong(path: string)}
  {#if error(path)}<p class="text-error text-sm" role="alert">{error(path)}</p>{/if}
{/snippet}

<div class="sentences">
  <p>
    On the court
    <Pick
      label="Court"
      value={desk.draft.document.court}
      options={(courts.data ?? []).map((each) => ({ value: each.id, label: each.name }))}
      disabled={fixed}
      onchange={(on) => desk.edit({ on })}
    />.
  </p>
  <p>
    <Count
      label="Players on the near side"
      value={on('near')}
      max={6}
      disabled={fixed}
      onchange={(near) => desk.edit({ size: { near, far: on('far') } })}
    />
    against
    <Count
      label="Players on the far side"
      value={on('far')}
      max={6}
      disabled={fixed}
      onchange={(far) => desk.edit({ size: { near: on('near'), far } })}
    />{on('far') === 0 || on('near') === 0 ? ': the drill plays for the other side' : ''},
    <Pick
      label="Score"
      value={rules.score ?? ''}
      options={scores}
      disabled={fixed}
      onchange={(score) =>
        desk.change((r) => {
          r.score = score || undefined
          if (score) {
            r.end.far = r.end.near
            r.end.winBy = undefined
          }
        })}
    />.
    <Tick
      label="the coach fills a missing place"
      checked={rules.coach}
      disabled={fixed}
      onchange={(is) => desk.change((r) => (r.coach = is))}
    />
  </p>
  {@render wrong('score')}{@render wrong('spots')}
  <p>
    Every rally begins with
    <Pick
      label="A rally begins with"
      value={rules.feed.kind ?? ''}
      options={feeds}
      disabled={fixed}
      onchange={(kind) => feed({ kind: kind || undefined, second: undefined })}
    />.
    {#if !rules.feed.kind}<Tick
        label="with a second serve"
        checked={rules.feed.second}
        disabled={fixed}
        onchange={(second) => feed({ second })}
      />{/if}
    The <Pick
      label="Side that begins"
      value={rules.feed.first ?? 'near'}
      options={sidesOrNone.slice(1)}
      disabled={fixed}
      onchange={(first) => feed({ first: first || undefined })}
    />
    side {feeder} first, then
    <Pick
      label="The feed passes on"
      value={rules.feed.changes ?? ''}
      options={changes}
      disabled={fixed}
      onchange={(to) =>
        feed({
          changes: to || undefined,
          every:
            to === 'every so many rallies' || to === 'to the next player in turn'
              ? (rules.feed.every ?? 2)
              : undefined,
        })}
    />
    {#if rules.feed.changes === 'every so many rallies' || rules.feed.changes === 'to the next player in turn'}
      after <Count
        label="Rallies until the feed passes on"
        value={rules.feed.every ?? 1}
        min={1}
        max={50}
        disabled={fixed}
        onchange={(every) => feed({ every })}
      />
      {unit}{/if}. From
    <Pick
      label="Side of the middle"
      value={rules.feed.box ?? ''}
      options={[
        { value: '', label: 'anywhere' },
        { value: 'right', label: 'the right of the middle' },
        { value: 'left', label: 'the left of the middle' },
      ]}
      disabled={fixed}
      onchange={(box) => feed({ box: box || undefined, boxFor: box ? rules.feed.boxFor : undefined })}
    />{#if rules.feed.box}, changing after <Count
        label="Rallies until the side of the middle changes"
        value={rules.feed.boxFor ?? 0}
        max={50}
        disabled={fixed}
        onchange={(boxFor) => feed({ boxFor: some(boxFor) })}
      />
      {unit} (0: never){/if}.
  </p>
  {@render wrong('feed.first')}{@render wrong('feed.changes')}{@render wrong('feed.every')}{@render wrong(
    'feed.second',
  )}
  <p>
    A feed is good when
    <Phrase
      label="What a good feed is"
      placeholder="anything goes"
      value={rules.feed.valid ?? ''}
      disabled={fixed}
      onchange={(valid) => feed({ valid: valid || undefined })}
    />; any other one is fed again.
  </p>
  <Restrictions {desk} />
  <p>
    {#if rules.mini}
      <Phrase
        label="How the rallies of a little match begin"
        maxlength={240}
        value={rules.mini.balls.join(', ')}
        disabled={fixed}
        onchange={(text) =>
          desk.change((r) => r.mini && (r.mini.balls = text.split(',').map((ball) => ball.trim())))}
      />
      are one little match: most of them won is
      <Count
        label="Points for most of a little match"
        value={rules.mini.won}
        max={20}
        disabled={fixed}
        onchange={(won) => desk.change((r) => r.mini && (r.mini.won = won))}
      />, all of them
      <Count
        label="Points for all of a little match"
        value={rules.mini.swept}
        max={20}
        disabled={fixed}
        onchange={(swept) => desk.change((r) => r.mini && (r.mini.swept = swept))}
      />.
    {:else}
      A rally that is won is <Count
        label="Points for a rally"
        value={rules.rally}
        max={20}
        disabled={fixed}
        onchange={(rally) => desk.change((r) => (r.rally = rally))}
      />
      {rules.rally === 1 ? 'point' : 'points'}.
    {/if}
    <Tick
      label="in little matches"
      checked={Boolean(rules.mini)}
      disabled={fixed}
      onchange={(is) => mini(Boolean(is))}
    />
    <Tick
      label="points can fall below zero"
      checked={rules.belowZero}
      disabled={fixed}
      onchange={(is) => desk.change((r) => (r.belowZero = is))}
    />
  </p>
  {@render wrong('rally')}{@render wrong('mini.balls')}{@render wrong('mini.swept')}{@render wrong('mini')}
  <Awards {desk} />
  <Counted {desk} />
  <p>
    The next rally begins
    <Pick
      label="The next rally begins"
      value={rules.after.restart ?? ''}
      options={restarts}
      disabled={fixed}
      onchange={(restart) =>
        desk.change((r) => {
          r.after.restart = restart || undefined
          r.after.every = undefined
        })}
    />{#if rules.after.restart}, every <Count
        label="Every so many rallies begin from where they stand"
        value={rules.after.every ?? 1}
        min={1}
        max={50}
        disabled={fixed}
        onchange={(every) => desk.change((r) => (r.after.every = every > 1 ? every : undefined))}
      />{(rules.after.every ?? 1) > 1 ? 'th time' : ' time'}{/if}.
    <Pick
      label="Who holds the net at first"
      value={rules.after.net ?? ''}
      options={sidesOrNone}
      disabled={fixed}
      onchange={(net) => desk.change((r) => (r.after.net = net || undefined))}
    />
    {rules.after.net
      ? 'side holds the net at first; who wins a rally takes it or keeps it.'
      : 'holds the net.'}
  </p>
  <p>
    Places are changed after <Count
      label="Rallies of a round"
      value={rules.rotation.every ?? 0}
      max={50}
      disabled={fixed}
      onchange={rotate}
    /> rallies (0: never){#if rules.rotation.every}:
      <Pick
        label="How places are changed"
        value={rules.rotation.how ?? ''}
        options={turnings}
        disabled={fixed}
        onchange={(how) => desk.change((r) => (r.rotation.how = how || undefined))}
      />{/if}. The first <Count
      label="Unscored at first"
      value={rules.unscored ?? 0}
      max={12}
      disabled={fixed}
      onchange={(n) => desk.change((r) => (r.unscored = some(n)))}
    />
    {rules.rotation.every ? 'rounds' : 'rallies'} do not count.
  </p>
  {@render wrong('rotation.every')}
  <EndSentence {desk} />
</div>

<style>
  .sentences {
    display: grid;
    gap: 0.55rem;
    line-height: 2.1;
  }
</style>
