<script lang="ts">
  import type { GameAward } from '../../lib/api/client'
  import AwardTarget from './AwardTarget.svelte'
  import { endings, whose } from './choices'
  import Count from './Count.svelte'
  import type { Desk } from './desk.svelte'
  import Phrase from './Phrase.svelte'
  import Pick from './Pick.svelte'
  import Sentence from './Sentence.svelte'
  import Tick from './Tick.svelte'

  /** What else is worth points, a sentence each. */
  interface Props {
    desk: Desk
  }
  let { desk }: Props = $props()
  const list = $derived(desk.rules.awards ?? [])
  const fixed = $derived(desk.builtIn)
  const set = (i: number, change: Partial<GameAward>) =>
    desk.change((r) => r.awards?.[i] && Object.assign(r.awards[i], change))

  function add() {
    desk.change((r) => {
      const ids = new Set(r.awards?.map((each) => each.id))
      let n = 1
      while (ids.has(`bonus${n}`)) n++
      r.awards = [
        ...(r.awards ?? []),
        { id: `bonus${n}`, name: 'target hit', points: 3, ends: 'wins the rally' },
      ]
    })
  }
</script>

{#each list as award, i (award.id)}
  {@const n = i + 1}
  <Sentence
    {desk}
    path={`rules.awards.${i}`}
    which="bonus {n}"
    ontakeout={() => desk.change((r) => (r.awards = r.awards?.filter((_, k) => k !== i)))}
  >
    <Phrase
      label="Bonus {n}: name"
      wide="15rem"
      maxlength={60}
      value={award.name}
      disabled={fixed}
      onchange={(name) => set(i, { name })}
    />
    by <Pick
      label="Bonus {n}: by"
      value={award.by ?? ''}
      options={whose}
      disabled={fixed}
      onchange={(by) => set(i, { by: by || undefined })}
    />
    <Pick
      label="Bonus {n}: what it does"
      value={award.ends ?? ''}
      options={endings}
      disabled={fixed}
      onchange={(ends) =>
        set(i, {
          ends: ends || undefined,
          noBonus: undefined,
          ...(ends === 'loses the rally'
            ? { points: Math.min(0, award.points) }
            : { points: Math.max(0, award.points) }),
        })}
    />
    and is worth
    <Count
      label="Bonus {n}: points"
      value={award.points}
      min={-20}
      max={20}
      disabled={fixed}
      onchange={(points) => set(i, { points })}
    />, with stroke <Count
      label="Bonus {n}: stroke of the rally"
      value={award.shot ?? 0}
      max={9}
      disabled={fixed}
      onchange={(shot) => set(i, { shot: shot || undefined })}
    /> of the rally (0: any), <AwardTarget {desk} nth={i} {award} />
    {#if desk.rules.feed.second}<Tick
        label="not after a second serve"
        checked={award.notOnSecond}
        disabled={fixed}
        onchange={(notOnSecond) => set(i, { notOnSecond })}
      />{/if}
    {#if award.ends}<Tick
        label="nothing else counts then"
        checked={award.noBonus}
        disabled={fixed}
        onchange={(noBonus) => set(i, { noBonus })}
      />{/if}</Sentence
  >
{/each}
{#if !fixed && list.length < 12}<p>
    <button class="btn btn-sm" onclick={add}>Something else is worth points</button>
  </p>{/if}
