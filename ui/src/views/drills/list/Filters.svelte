<script lang="ts">
  import NumberInput from '../../../lib/fields/NumberInput.svelte'
  import { createQuery } from '@tanstack/svelte-query'
  import type { Settings, Sought, Vocabulary } from '../../../lib/api/client'
  import { keys, students } from '../../../lib/page/data'

  /** What is looked for among the drills: words as they are typed, filters, and the order. */
  interface Props {
    sought: Sought
    vocabulary: Vocabulary | undefined
    settings: Settings | undefined
    onchange: (part: Sought) => void
  }
  let { sought, vocabulary, settings, onchange }: Props = $props()
  const known = createQuery(() => ({
    queryKey: [...keys.students, { withArchived: false }],
    queryFn: () => students(false),
  }))
  const id = $props.id()
  const sports = $derived((vocabulary?.sports ?? []).map((each) => each.sport))
  const words = $derived(vocabulary?.sports.find((each) => each.sport === sought.sport))
  const all = <T extends string>(of: (sport: Vocabulary['sports'][number]) => readonly T[]) => [
    ...new Set((words ? [words] : (vocabulary?.sports ?? [])).flatMap((each) => of(each))),
  ]
  const chosen = $derived(
    [sought.stroke, sought.trains, sought.level, sought.players, sought.minutes, sought.equipment].filter(
      Boolean,
    ).length,
  )
  const orders = {
    '': 'best match',
    'by name': 'by name',
    'not used lately': 'not used lately',
    'shortest first': 'shortest first',
  }

  /** Ordering by a student is choosing that student. */
  function order(value: string) {
    const student = known.data?.find((each) => each.id === value)
    if (student) onchange({ order: 'fits this student', students: student.id, first: student.profile.sport })
    else onchange({ order: (value || undefined) as Sought['order'], students: undefined, first: undefined })
  }
  const some = (number: number | undefined) => (number !== undefined && number > 0 ? number : undefined)
  let wrong = $state({ players: '', minutes: '' })
</script>

{#snippet choice(
  label: string,
  value: string | undefined,
  none: string,
  options: readonly string[],
  set: (v: string | undefined) => void,
)}
  <label class="flex flex-col gap-1 text-sm font-medium">
    {label}
    <select
      class="select select-sm font-normal"
      aria-label={label}
      value={value ?? ''}
      onchange={(event) => set(event.currentTarget.value || undefined)}
    >
      <option value="">{none}</option>
      {#each options as option (option)}<option>{option}</option>{/each}
    </select>
  </label>
{/snippet}

<div class="mt-3 flex flex-wrap items-end gap-3" role="search">
  <label class="flex min-w-0 flex-1 basis-56 flex-col gap-1 text-sm font-medium" for="{id}-text"
    >Look for
    <input
      id="{id}-text"
      type="search"
      class="input w-full font-normal"
      placeholder="a name, a stroke, a word of it"
      maxlength="100"
      value={sought.text ?? ''}
      oninput={(event) => onchange({ text: event.currentTarget.value || undefined })}
    />
  </label>
  {@render choice('Sport', sought.sport, 'all', sports, (sport) =>
    onchange({ sport: sport as Sought['sport'], stroke: undefined, level: undefined }),
  )}
  {@render choice(
    'Collection',
    sought.collection,
    'all',
    (settings?.settings.collections ?? []).map((each) => each.name),
    (collection) => onchange({ collection }),
  )}
  <label class="flex flex-col gap-1 text-sm font-medium">
    Order
    <select
      class="select select-sm font-normal"
      aria-label="Order"
      value={sought.students ?? sought.order ?? ''}
      onchange={(event) => order(event.currentTarget.value)}
    >
      {#each Object.entries(orders) as [value, label] (value)}<option {value}>{label}</option>{/each}
      <optgroup label="fits this student">
        {#each known.data ?? [] as student (student.id)}<option value={student.id}
            >{student.profile.name}</option
          >{/each}
      </optgroup>
    </select>
  </label>
</div>
<details class="mt-2" open={chosen > 0}>
  <summary class="cursor-pointer text-sm font-medium">More to choose by{chosen ? ` (${chosen})` : ''}</summary
  >
  <div class="mt-2 flex flex-wrap items-end gap-3">
    {@render choice(
      'Stroke',
      sought.stroke,
      'any',
      all((each) => each.strokes),
      (stroke) => onchange({ stroke: stroke as Sought['stroke'] }),
    )}
    {@render choice('What it trains', sought.trains, 'anything', vocabulary?.rungs ?? [], (trains) =>
      onchange({ trains: trains as Sought['trains'] }),
    )}
    {@render choice(
      'Offered to',
      sought.level,
      'anybody',
      all((each) => each.levels),
      (level) => onchange({ level: level as Sought['level'] }),
    )}
    <label class="flex w-28 flex-col gap-1 text-sm font-medium"
      >Players, at most
      <NumberInput
        class="input input-sm font-normal {wrong.players ? 'input-error' : ''}"
        min={1}
        max={12}
        optional
        value={sought.players}
        onnumber={(players) => onchange({ players: some(players) })}
        onwrong={(why) => (wrong.players = why)}
      />{#if wrong.players}<span class="text-error" role="alert">{wrong.players}</span>{/if}</label
    >
    <label class="flex w-28 flex-col gap-1 text-sm font-medium"
      >Minutes, at most
      <NumberInput
        class="input input-sm font-normal {wrong.minutes ? 'input-error' : ''}"
        min={1}
        optional
        value={sought.minutes}
        onnumber={(minutes) => onchange({ minutes: some(minutes) })}
        onwrong={(why) => (wrong.minutes = why)}
      />{#if wrong.minutes}<span class="text-error" role="alert">{wrong.minutes}</span>{/if}</label
    >
    {@render choice(
      'Equipment',
      sought.equipment,
      'any',
      ['only balls', 'cone', 'marker', 'obstacle', 'machine', 'rope'],
      (equipment) => onchange({ equipment }),
    )}
    <label class="flex items-center gap-2 pb-1 text-sm">
      <input
        type="checkbox"
        class="checkbox checkbox-sm"
        checked={sought.archived ?? false}
        onchange={(event) => onchange({ archived: event.currentTarget.checked || undefined })}
      /> Show archived
    </label>
  </div>
</details>
