<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import type { DrillDocument, Vocabulary } from '../../../lib/api/client'
  import { keys, students } from '../../../lib/page/data'
  import type { Bench } from '../bench/bench.svelte'

  /** Whom the turn is worked out for: a student, or a level. */
  interface Props {
    bench: Bench
    drill: DrillDocument
    vocabulary: Vocabulary | undefined
  }
  let { bench, drill, vocabulary }: Props = $props()
  const query = createQuery(() => ({
    queryKey: [...keys.students, { withArchived: false }],
    queryFn: () => students(false),
  }))
  const own = $derived((query.data ?? []).filter((student) => student.profile.sport === drill.sport))
  const levels = $derived(vocabulary?.sports.find((each) => each.sport === drill.sport)?.levels ?? [])
  const written = $derived(drill.level ?? 'club player')

  /** What is to be spared of whoever is chosen. */
  const chosen = $derived(own.find((each) => each.id === bench.student))
  const spare = $derived(
    [
      chosen?.hurts && `Hurts: ${chosen.hurts}.`,
      chosen?.rests && `Rests ${chosen.rests}.`,
      chosen?.profile.limit && `At most ${chosen.profile.limit.max} ${chosen.profile.limit.of} in a lesson.`,
    ]
      .filter(Boolean)
      .join(' '),
  )

  function choose(value: string) {
    const student = own.find((each) => each.id === value)
    bench.student = student?.id ?? ''
    bench.level = student ? '' : value
    if (student) bench.hand = student.profile.hand
  }
</script>

<label class="flex min-w-0 items-center gap-2 text-sm whitespace-nowrap">
  Try it on
  <select
    class="select select-sm w-auto min-w-0"
    value={bench.student || bench.level}
    onchange={(event) => choose(event.currentTarget.value)}
  >
    <option value="">as written: {written}</option>
    {#if own.length}
      <optgroup label="Your students">
        {#each own as student (student.id)}<option value={student.id}>{student.profile.name}</option>{/each}
      </optgroup>
    {/if}
    <optgroup label="A level">
      {#each levels as level (level)}<option value={level}>{level}</option>{/each}
    </optgroup>
  </select>
</label>
{#if spare}<p class="w-full text-sm" role="note">{spare} <span class="hint">Pain means stop.</span></p>{/if}
