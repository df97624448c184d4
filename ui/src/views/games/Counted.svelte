<script lang="ts">
  import type { GameMeasure } from '../../lib/api/client'
  import { vocabularyQuery } from '../../lib/page/data'
  import { whose } from './choices'
  import Count from './Count.svelte'
  import type { Desk } from './desk.svelte'
  import Phrase from './Phrase.svelte'
  import Pick from './Pick.svelte'
  import Sentence from './Sentence.svelte'

  /** The strokes that are counted beside the score, a sentence each, so that they can be set against drills. */
  interface Props {
    desk: Desk
  }
  let { desk }: Props = $props()
  const vocabulary = vocabularyQuery()
  const list = $derived(desk.rules.measures ?? [])
  const fixed = $derived(desk.builtIn)
  const strokes = $derived(
    vocabulary.data?.sports.find(({ sport }) => sport === desk.draft.document.sport)?.strokes ?? [],
  )
  const awards = $derived([
    { value: '', label: 'is tapped' },
    ...(desk.rules.awards ?? []).map(({ id, name }) => ({ value: id, label: `counts with “${name}”` })),
  ])
  const set = (i: number, change: Partial<GameMeasure>) =>
    desk.change((r) => r.measures?.[i] && Object.assign(r.measures[i], change))

  function add() {
    desk.change((r) => {
      const ids = new Set(r.measures?.map((each) => each.id))
      let n = 1
      while (ids.has(`stroke${n}`)) n++
      const stroke = strokes.find((each) => each === 'return') ?? strokes[0] ?? 'forehand'
      r.measures = [
        ...(r.measures ?? []),
        { id: `stroke${n}`, name: stroke, stroke, by: 'the side that receives', shot: 2 },
      ]
    })
  }
</script>

{#each list as measure, i (measure.id)}
  {@const n = i + 1}
  <Sentence
    {desk}
    path={`rules.measures.${i}`}
    which="counted {n}"
    ontakeout={() => desk.change((r) => (r.measures = r.measures?.filter((_, k) => k !== i)))}
  >
    Beside the score <Phrase
      label="Counted {n}: name"
      wide="11rem"
      maxlength={60}
      value={measure.name}
      disabled={fixed}
      onchange={(name) => set(i, { name })}
    />, a
    <Pick
      label="Counted {n}: stroke"
      value={measure.stroke}
      options={strokes.map((value) => ({ value, label: value }))}
      disabled={fixed}
      onchange={(stroke) => set(i, { stroke })}
    />
    by <Pick
      label="Counted {n}: by"
      value={measure.by ?? ''}
      options={whose}
      disabled={fixed}
      onchange={(by) => set(i, { by: by || undefined })}
    />, is counted, made or missed: stroke <Count
      label="Counted {n}: stroke of the rally"
      value={measure.shot ?? 0}
      max={9}
      disabled={fixed}
      onchange={(shot) => set(i, { shot: shot || undefined })}
    /> of the rally (0: any). Made
    <Pick
      label="Counted {n}: made"
      value={measure.award ?? ''}
      options={awards}
      disabled={fixed}
      onchange={(award) => set(i, { award: award || undefined })}
    />.</Sentence
  >
{/each}
{#if !fixed && list.length < 4}<p>
    <button class="btn btn-sm" onclick={add}>A stroke is counted beside the score</button>
  </p>{/if}
