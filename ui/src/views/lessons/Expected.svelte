<script lang="ts">
  import type { Plan } from '../../lib/api/client'

  /** How many attempts each player has in a block, and how likely each goal is, measure by measure. */
  interface Props {
    students: Plan['prospects'][number]['students']
  }
  let { students }: Props = $props()
  type Prospect = Props['students'][number]
  const counted = {
    ball: ['ball', 'balls'],
    sequence: ['sequence', 'sequences'],
    repetition: ['repetition', 'repetitions'],
    rally: ['rally', 'rallies'],
    point: ['point', 'points'],
    time: ['try', 'tries'],
  } as const
  /** Those who have the same goal in the same measure stand together. */
  const rows = $derived.by(() => {
    const groups = new Map<string, Prospect[]>()
    for (const each of students) {
      const key = `${each.measure} ${each.attempts} ${each.goal}`
      groups.set(key, [...(groups.get(key) ?? []), each])
    }
    return [...groups.values()].flatMap((same) => (same[0] ? [{ first: same[0], same }] : []))
  })
  const attempts = ({ attempts: n, unit }: Prospect) => `${n} ${counted[unit][n === 1 ? 0 : 1]}`
</script>

{#if rows.length}
  <h3 class="mt-4 text-sm font-semibold" id="expected">What to expect</h3>
  <ul class="mt-1 flex flex-col gap-1 text-sm" aria-labelledby="expected">
    {#each rows as { first, same }, i (i)}
      <li>
        {#if first.called}<strong class="font-medium"
            ><span class="drum-digits">{first.measure}</span> {first.called}:</strong
          >{/if}
        {attempts(first)} each; {first.goal}{first.times
          ? `: ${same.map((each) => `${each.name} ${each.times}`).join(', ')}`
          : ''}.
      </li>
    {/each}
  </ul>
{/if}
