<script lang="ts">
  import type { GameAward, Target } from '../../lib/api/client'
  import type { Desk } from './desk.svelte'
  import Phrase from './Phrase.svelte'
  import Pick from './Pick.svelte'

  /** What has to be hit for a bonus: put on the court, where it is dragged, and sized in words. */
  interface Props {
    desk: Desk
    /** Which bonus, from 0. */
    nth: number
    award: GameAward
  }
  let { desk, nth, award }: Props = $props()
  const fixed = $derived(desk.builtIn)
  const n = $derived(nth + 1)
  const on = $derived(desk.worked?.onCourt)
  const sizes = $derived(on?.targets.find((each) => each.award === award.id)?.sizes ?? [])
  const kinds: { value: Target['kind'] | ''; label: string }[] = [
    { value: '', label: 'no target on court' },
    { value: 'circle', label: 'a circle on court' },
    { value: 'object', label: 'a cone or can on court' },
    { value: 'box', label: 'a box of the court' },
  ]
  /** Another shape, that only a line in words makes, is shown as it is. */
  const options = $derived(
    !award.target || kinds.some(({ value }) => value === award.target?.kind)
      ? kinds
      : [...kinds, { value: award.target.kind, label: award.target.kind }],
  )
  const boxes = $derived(on?.court.boxes ?? [])
  const labels: Record<string, string> = { radius: 'within', across: 'across', low: 'from', high: 'up to' }

  function choose(kind: Target['kind'] | '') {
    const mark = award.target?.mark ?? { place: { x: 0, y: (on?.court.length ?? 20) / 4 } }
    const box = (boxes.find((each) => each.id.startsWith('far')) ?? boxes[0])?.id
    const targets: Partial<Record<Target['kind'], Target>> = {
      circle: { kind: 'circle', mark, radius: 0.9 },
      object: { kind: 'object', mark, radius: 0.15 },
      box: { kind: 'box', box },
    }
    set(kind ? targets[kind] : undefined)
  }
  const set = (target: Target | undefined) =>
    desk.change((r) => r.awards?.[nth] && (r.awards[nth].target = $state.snapshot(target)))
</script>

<Pick
  label="Bonus {n}: target"
  value={award.target?.kind ?? ''}
  {options}
  disabled={fixed}
  onchange={choose}
/>
{#if award.target?.box}<Pick
    label="Bonus {n}: box"
    value={award.target.box}
    options={boxes.map(({ id, name }) => ({ value: id, label: name }))}
    disabled={fixed}
    onchange={(box) => award.target && set({ ...award.target, box })}
  />{/if}
{#each sizes as size (size.path)}
  {labels[size.label] ?? size.label}
  <Phrase
    label="Bonus {n}: {labels[size.label] ?? size.label}"
    wide="5.5rem"
    value={size.text}
    disabled={fixed}
    onchange={(text) => desk.edit({ typed: { path: size.path, text } })}
  />{/each}{#if award.target?.mark && !fixed}<span class="hint text-sm"> (drag it on the court)</span>{/if}.
