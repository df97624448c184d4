<script lang="ts">
  import type { Plan } from '../../lib/api/client'

  /** How many attempts each player has in a block, and how likely each goal is, measure by measure. */
  interface Props {
    lesson: string
    block: string
    students: Plan['prospects'][number]['students']
  }
  let { lesson, block, students }: Props = $props()
  type Prospect = Props['students'][number]
  /** Those who have the same goal in the same measure stand together. */
  const rows = $derived.by(() => {
    const alike = (a: Prospect, b: Prospect) =>
      a.measure === b.measure && a.attempts === b.attempts && a.goal === b.goal
    const kept = students.filter((each) => each.keeps)
    return kept
      .filter((each, i) => kept.findIndex((other) => alike(other, each)) === i)
      .map((first) => ({ first, same: kept.filter((each) => alike(each, first)) }))
  })
</script>

{#if rows.length}
  <h3 class="mt-4 text-sm font-semibold" id="expected">What to expect</h3>
  <ul class="mt-1 flex flex-col gap-1 text-sm" aria-labelledby="expected">
    {#each rows as { first, same }, i (i)}
      <li>
        {#if first.called}<strong class="font-medium"
            ><span class="drum-digits">{first.measure}</span> {first.called}:</strong
          >{/if}
        {`${first.tries} ${first.joint ? 'together' : 'each'}`}; {first.goal}{#if first.times}{first.race
            ? ', over in time'
            : ''}: {#each same as each, k (each.student)}{k ? ', ' : ''}<span
              data-prospect="{lesson} {block} {each.student} {each.measure}"
              data-tries={each.tries}>{each.name} {each.times}</span
            >{/each}{/if}.
      </li>
    {/each}
  </ul>
{/if}
