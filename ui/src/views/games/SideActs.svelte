<script lang="ts">
  import type { Played } from '../../lib/api/client'
  import type { Tap } from './scoring.svelte'

  /** What can be tapped for a side beside the rally: bonuses, strokes that are counted, what was not kept to. */
  interface Props {
    played: Played
    side: 'near' | 'far'
    busy: boolean
    tap: (event: Tap) => void
  }
  let { played, side, busy, tap }: Props = $props()
  const rules = $derived(played.document.rules)
  const can = $derived(played[side])
  const name = (id: string) => played.names[id] ?? id
  /** The students of this side: strokes are counted for one of them. */
  const students = $derived(
    (played.state?.spots ?? []).filter((id, i) => rules?.spots[i]?.side === side && id !== 'coach'),
  )
  const measures = $derived((rules?.measures ?? []).filter(({ id }) => can?.measures.includes(id)))
  /** A bonus that says that a stroke was made is tapped there. */
  const awards = $derived(
    (rules?.awards ?? []).filter(
      ({ id }) => can?.awards.includes(id) && !measures.some(({ award }) => award === id),
    ),
  )
  const worth = (points: number) => `${points > 0 ? '+' : '−'}${Math.abs(points)}`

  /** What a press on made or missed says; with a bonus that stands for it, that one. */
  function counted(measure: (typeof measures)[number], player: string, right: boolean): Tap {
    return right && measure.award && can?.awards.includes(measure.award)
      ? { kind: 'awarded', side, player, award: measure.award }
      : { kind: 'counted', side, player, measure: measure.id, right }
  }
  const bonus = (measure: (typeof measures)[number]) =>
    rules?.awards?.find(({ id }) => id === measure.award && can?.awards.includes(id))?.points ?? 0
</script>

<div class="flex flex-wrap gap-1">
  {#each awards as award (award.id)}
    <button class="btn btn-sm" disabled={busy} onclick={() => tap({ kind: 'awarded', side, award: award.id })}
      >{award.name}{#if award.points}<span class="font-normal">{worth(award.points)}</span>{/if}</button
    >
  {/each}
  {#each measures as measure (measure.id)}
    {#each students as player (player)}
      {@const what = students.length > 1 ? `${name(player)}: ${measure.name}` : measure.name}
      <span class="counted rounded-field">
        <span class="text-sm">{what}</span>
        <button class="btn btn-sm" disabled={busy} onclick={() => tap(counted(measure, player, true))}
          ><span class="sr-only">{what}</span> made{#if bonus(measure)}<span class="font-normal"
              >{worth(bonus(measure))}</span
            >{/if}</button
        >
        <button class="btn btn-sm" disabled={busy} onclick={() => tap(counted(measure, player, false))}
          ><span class="sr-only">{what}</span> missed</button
        >
      </span>
    {/each}
  {/each}
  {#each can?.restrictions ?? [] as i (i)}
    <button
      class="btn btn-sm btn-ghost"
      disabled={busy}
      onclick={() => tap({ kind: 'broke', side, restriction: i })}
      >not kept: {rules?.restrictions?.[i]?.text ?? rules?.restrictions?.[i]?.kind}</button
    >
  {/each}
</div>

<style>
  .counted {
    display: inline-flex;
    align-items: center;
    gap: 0.35rem;
    padding-left: 0.5rem;
    border: 1px solid var(--color-base-300);
  }
</style>
