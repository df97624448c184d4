<script lang="ts">
  import type { Afterwards, Remark } from '../../lib/api/client'
  import { commonest } from '../../lib/words/words'
  import { remarkDraft } from './remarks'
  import BothMarks from './BothMarks.svelte'

  /** One mark for the whole group in a press; who felt otherwise is changed below. */
  interface Props {
    lesson: string
    results: Afterwards['students']
  }
  let { lesson, results }: Props = $props()
  // Those of a lesson that is over stay the same while the page is open.
  // svelte-ignore state_referenced_locally
  const all = results.map((result) => remarkDraft(lesson, result))
  /** What most have; undefined where nobody has any. */
  const most = (of: (remark: Remark) => number | undefined) =>
    commonest(all.flatMap(({ document }) => of(document) ?? []))
  const engagement = $derived(most((remark) => remark.engagement || undefined))
  const effort = $derived(most((remark) => remark.effort))

  /** Everybody has the mark but those who were given another one than most. */
  function give(
    before: number | undefined,
    of: (remark: Remark) => number | undefined,
    part: Partial<Remark>,
  ) {
    for (const draft of all) {
      const own = of(draft.document)
      if (own === undefined || own === before) draft.change((d) => Object.assign(d, part))
    }
  }
</script>

<section class="sheet" aria-labelledby="everybody">
  <h2 id="everybody">Everybody</h2>
  <p class="hint text-sm">
    One press is for all who have no other mark; whoever felt otherwise is changed below.
  </p>
  <div class="mt-2 grid gap-3">
    <BothMarks
      {engagement}
      {effort}
      onengagement={(mark) =>
        give(engagement, (remark) => remark.engagement || undefined, { engagement: mark })}
      oneffort={(mark) => give(effort, (remark) => remark.effort, { effort: mark })}
    />
  </div>
</section>
