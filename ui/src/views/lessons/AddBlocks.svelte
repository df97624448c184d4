<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import NewDrill from '../../library/NewDrill.svelte'
  import { answer, api, type Drill } from '../../lib/api/client'
  import { keys, students } from '../../lib/data'
  import { readyQuery } from './ready'
  import type { Planner } from './planner.svelte'

  interface Props {
    planner: Planner
  }
  let { planner }: Props = $props()
  let drill = $state('')
  let shape = $state('')
  /** What was not chosen before it was asked for. */
  let missing = $state('')

  const people = $derived(Math.min(12, Math.max(1, planner.document.students.length)))
  const ready = readyQuery(() => planner.document.students.length)
  const shapes = createQuery(() => ({
    queryKey: keys.templates,
    queryFn: () => answer(api.GET('/api/lessons/templates')),
    staleTime: Infinity,
  }))
  const known = createQuery(() => ({
    queryKey: [...keys.students, { withArchived: false }],
    queryFn: () => students(false),
  }))
  /** The sport of the lesson is that of whoever comes. */
  const sport = $derived(
    known.data?.find((each) => planner.document.students.includes(each.id))?.profile.sport ?? '',
  )
  const fitting = $derived(
    (shapes.data ?? []).filter((t) => people >= t.minPlayers && people <= t.maxPlayers),
  )

  function addDrill(event: SubmitEvent) {
    event.preventDefault()
    const block = ready.data?.drills.find((b) => b.drill === drill)
    missing = block ? '' : 'Choose a drill first.'
    if (block) void planner.add(block)
  }

  /** A new drill stands in the lesson at once; the bench is where it goes on. */
  async function addNew(drill: Drill) {
    const { data } = await ready.refetch()
    const block = data?.drills.find((b) => b.drill === drill.id)
    if (block) await planner.add(block)
    await push(`/drills/${drill.id}`)
  }

  function fill(event: SubmitEvent) {
    event.preventDefault()
    missing = ''
    if (shape) return void planner.fill(shape)
    const players = people === 1 ? '1 player' : `${people} players`
    missing = fitting.length ? 'Choose a shape of lesson first.' : `There is no shape for ${players}.`
  }
</script>

<div class="mt-3 flex flex-wrap items-center gap-2">
  <span class="text-sm">Add{planner.at >= 0 ? ' after the chosen block' : ''}:</span>
  {#each [...(ready.data?.start ?? []), ...(ready.data?.more ?? [])] as block, i (i)}
    <button class="btn btn-sm" onclick={() => void planner.add(block)}>{block.title}</button>
  {/each}
</div>
<div class="mt-2 flex flex-wrap items-center gap-x-6 gap-y-2">
  <form class="flex min-w-0 flex-wrap items-center gap-2" onsubmit={addDrill} novalidate>
    <select class="select select-sm w-64 max-w-full" aria-label="A drill to add" bind:value={drill} required>
      <option value="" disabled>choose a drill</option>
      {#each ready.data?.drills ?? [] as block (block.drill)}
        <option value={block.drill}>{block.title} ({block.minutes} min)</option>
      {/each}
    </select>
    <button class="btn btn-sm" type="submit">Add the drill</button>
  </form>
  <NewDrill {sport} onmade={addNew} />
  <form class="flex min-w-0 flex-wrap items-center gap-2" onsubmit={fill} novalidate>
    <select
      class="select select-sm w-56 max-w-full"
      aria-label="A shape of lesson"
      bind:value={shape}
      required
    >
      <option value="" disabled>choose a shape</option>
      {#each fitting as template (template.name)}
        <option value={template.name}>{template.name}: {template.for}</option>
      {/each}
    </select>
    <button class="btn btn-sm" type="submit">Fill it with next steps</button>
  </form>
  <button class="btn btn-sm" onclick={() => void planner.edit({ kind: 'fit' })}>Fit to the booking</button>
</div>
{#if missing}<p class="text-error mt-1 text-sm" role="alert">{missing}</p>{/if}
