<script lang="ts">
  import type { GameRestriction } from '../../lib/api/client'
  import { kept, whose } from './choices'
  import Count from './Count.svelte'
  import type { Desk } from './desk.svelte'
  import Phrase from './Phrase.svelte'
  import Pick from './Pick.svelte'
  import Sentence from './Sentence.svelte'

  /** What has to be kept to, a sentence each: who does not loses the rally. */
  interface Props {
    desk: Desk
  }
  let { desk }: Props = $props()
  const list = $derived(desk.rules.restrictions ?? [])
  const fixed = $derived(desk.builtIn)
  const set = (i: number, change: Partial<GameRestriction>) =>
    desk.change((r) => r.restrictions?.[i] && Object.assign(r.restrictions[i], change))
</script>

{#each list as each, i (i)}
  {@const n = i + 1}
  <Sentence
    {desk}
    path={`rules.restrictions.${i}`}
    which="rule {n}"
    ontakeout={() => desk.change((r) => (r.restrictions = r.restrictions?.filter((_, k) => k !== i)))}
  >
    <Pick
      label="Rule {n}: who"
      value={each.who ?? ''}
      options={whose}
      disabled={fixed}
      onchange={(who) => set(i, { who: who || undefined })}
    />
    <Pick
      label="Rule {n}: what"
      value={each.kind}
      options={kept}
      disabled={fixed}
      onchange={(kind) => set(i, { kind })}
    />
    <Phrase
      label="Rule {n}: how, or what exactly"
      wide="14rem"
      placeholder={each.kind === 'has to be played so' ? 'how' : 'what exactly, if needed'}
      value={each.text ?? ''}
      disabled={fixed}
      onchange={(text) => set(i, { text: text || undefined })}
    />
    with stroke <Count
      label="Rule {n}: stroke of the rally"
      value={each.shot ?? 0}
      max={9}
      disabled={fixed}
      onchange={(shot) => set(i, { shot: shot || undefined })}
    /> of the rally (0: all).</Sentence
  >
{/each}
{#if !fixed && list.length < 8}<p>
    <button
      class="btn btn-sm"
      onclick={() =>
        desk.change((r) => (r.restrictions = [...(r.restrictions ?? []), { kind: 'cross-court only' }]))}
      >Something has to be kept to</button
    >
  </p>{/if}
