<script lang="ts">
  import type { GameAward } from '../../lib/api/client'
  import { among, endings, whose } from './choices'
  import Count from './Count.svelte'
  import type { Desk } from './desk.svelte'
  import Pick from './Pick.svelte'

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
  <div>
    <p>
      <input
        class="name"
        aria-label="Bonus {n}: name"
        maxlength="60"
        value={award.name}
        disabled={fixed}
        onchange={(event) => set(i, { name: event.currentTarget.value })}
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
      />.
      {#if desk.rules.feed.second}<label class="tick"
          ><input
            type="checkbox"
            class="checkbox checkbox-xs"
            checked={award.notOnSecond ?? false}
            disabled={fixed}
            onchange={(event) => set(i, { notOnSecond: event.currentTarget.checked || undefined })}
          /> not after a second serve</label
        >{/if}
      {#if award.ends}<label class="tick"
          ><input
            type="checkbox"
            class="checkbox checkbox-xs"
            checked={award.noBonus ?? false}
            disabled={fixed}
            onchange={(event) => set(i, { noBonus: event.currentTarget.checked || undefined })}
          /> nothing else counts then</label
        >{/if}
      {#if !fixed}<button
          class="btn btn-xs"
          onclick={() => desk.change((r) => (r.awards = r.awards?.filter((_, k) => k !== i)))}
          >Take out<span class="sr-only"> bonus {n}</span></button
        >{/if}
    </p>
    {#each among(desk.errors, `rules.awards.${i}`) as message (message)}<p
        class="text-error text-sm"
        role="alert"
      >
        {message}
      </p>{/each}
  </div>
{/each}
{#if !fixed && list.length < 12}<p>
    <button class="btn btn-sm" onclick={add}>Something else is worth points</button>
  </p>{/if}

<style>
  .name {
    width: min(15rem, 100%);
    min-height: 1.9rem;
    padding: 0 0.4rem;
    font-weight: 600;
    border-bottom: 2px solid var(--color-primary);
    background: var(--color-base-200);
  }
  .tick {
    display: inline-flex;
    align-items: center;
    gap: 0.35rem;
    margin-right: 0.5rem;
    font-size: 0.9375rem;
  }
</style>
