<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import { answer, api, isNew, type Finding, type Lesson } from '../../lib/api/client'
  import { keys, renew, students as allStudents, vocabularyQuery } from '../../lib/page/data'
  import Drums from '../../lib/parts/Drums.svelte'
  import { narrow } from '../../lib/parts/narrow.svelte'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import { notices } from '../../lib/parts/notice.svelte'
  import Part from '../../lib/parts/Part.svelte'
  import SaveState from '../../lib/drafts/SaveState.svelte'
  import Road from '../../road/Road.svelte'
  import type { RoadAct } from '../../road/keys'
  import Adder from './Adder.svelte'
  import BlockEditor from './BlockEditor.svelte'
  import Booking from './Booking.svelte'
  import Copies from './Copies.svelte'
  import CourtPlans from './CourtPlans.svelte'
  import FindingItem from './FindingItem.svelte'
  import Findings from './Findings.svelte'
  import Group from './Group.svelte'
  import { Planner } from './planner.svelte'
  import EditNotes from './EditNotes.svelte'
  import ThumbBlocks from './ThumbBlocks.svelte'

  interface Props {
    lesson: Lesson
  }
  let { lesson }: Props = $props()
  const client = useQueryClient()
  // The planner is made anew for every lesson.
  // svelte-ignore state_referenced_locally
  const { id } = lesson
  // svelte-ignore state_referenced_locally
  const planner = new Planner(lesson, drafts.open('lesson', id, lesson))
  const { draft } = planner
  $effect(() => draft.offer(lesson))
  const onward = $derived(lesson.state === 'finished' ? 'afterwards' : 'courtside')
  /** The clashes of the lesson as it stands, not as it was read. */
  const when = $derived.by(() => {
    const { date, start, minutes, students, space } = draft.document
    return { date, start, minutes, students: [...students], court: space.name }
  })
  const clashing = createQuery(() => ({
    queryKey: [...keys.lesson(id), 'clashes', when],
    queryFn: () =>
      answer(api.POST('/api/lessons/{id}/clashes', { params: { path: { id } }, body: planner.snapshot() })),
    placeholderData: (before?: string[]) => before,
    retry: false,
  }))
  const clashes = $derived(clashing.data ?? lesson.clashes)
  const vocabulary = vocabularyQuery()
  const people = createQuery(() => ({
    queryKey: [...keys.students, { withArchived: true }],
    queryFn: () => allStudents(true),
  }))
  const names = $derived(Object.fromEntries((people.data ?? []).map((s) => [s.id, s.profile.name])))
  let sign = $state.raw<Finding | null>(null)
  let faults = $state(0)

  let told = 0
  $effect(() => {
    const again = faults !== told // what is watched in a student shows in the plan
    told = faults
    return planner.schedule(again)
  })
  /** A sign stays open for as long as it stands. */
  const alike = (a: Finding, b: Finding | null) => a.block === b?.block && a.reason === b?.reason
  const opened = $derived(planner.plan.findings.find((f) => alike(f, sign)))

  function act(block: string, what: RoadAct | { kind: 'move to'; to: number }) {
    switch (what.kind) {
      case 'choose':
        planner.selected = planner.selected === block ? '' : block
        return
      case 'move':
        return void planner.move(block, what.by)
      case 'move to':
        return void planner.edit({ kind: 'move', block, to: what.to })
      case 'resize':
        return void planner.resize(block, what.by)
      case 'pin':
        return void planner.pin(block)
      case 'remove':
        return void planner.takeOut(block)
    }
  }

  const sport = $derived(
    (people.data ?? []).find((each) => draft.document.students.includes(each.id))?.profile.sport ?? '',
  )

  async function keepCopy() {
    try {
      const path = { id: v7() }
      await answer(
        api.PUT('/api/lessons/{id}', { params: { path, header: isNew }, body: planner.snapshot() }),
      )
      draft.settle('theirs') // what is here is in the copy now
      await renew(client, keys.lessons)
      await push(`/lessons/${path.id}`)
      notices.done('Kept as a lesson of its own.')
    } catch (error) {
      notices.wrong(error)
    }
  }

  async function archive(archived: boolean) {
    try {
      await draft.flush()
      await answer(api.PUT('/api/lessons/{id}/archived', { params: { path: { id } }, body: { archived } }))
      await renew(client, keys.lessons)
      if (archived) await push('/lessons')
      notices.done(
        archived ? 'The lesson is archived.' : 'The lesson is back.',
        archived ? { label: 'Undo', run: () => archive(false) } : undefined,
      )
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<a class="link link-hover text-sm" href="#/lessons">Lessons</a>
<div class="flex flex-wrap items-center gap-x-3 gap-y-2">
  <h1>{draft.document.title}</h1>
  <SaveState {draft} busy={planner.editing > 0} onkeep={() => void keepCopy()} />
  <div class="ml-auto flex flex-wrap gap-2">
    <button class="btn btn-sm" disabled={!draft.canUndo} onclick={() => planner.undo()}>Undo</button>
    <button class="btn btn-sm" disabled={!draft.canRedo} onclick={() => planner.redo()}>Redo</button>
    <a
      class="btn btn-sm"
      href="#/lessons/{id}/sheet"
      onclick={(event) => void planner.leave(event, `/lessons/${id}/sheet`)}>Run sheet</a
    >
    <Copies {id} date={draft.document.date} before={() => draft.flush()} />
    <a class="btn btn-sm" href="/api/out/lesson/{id}.zip" download>Hand out</a>
    <button class="btn btn-sm" onclick={() => archive(true)}>Archive</button>
    <a
      class="btn btn-sm btn-primary"
      href="#/lessons/{id}/{onward}"
      onclick={(event) => void planner.leave(event, `/lessons/${id}/${onward}`)}
    >
      {lesson.state === 'finished' ? 'Afterwards' : 'Go courtside'}
    </a>
  </div>
</div>
{#each clashes as clash, i (i)}<p class="text-error mt-1 text-sm" role="alert">{clash}</p>{/each}

<section class="sheet road-of mt-4" aria-label="Road">
  <Part name="The road"
    ><Road
      plan={planner.plan}
      selected={planner.selected}
      onact={act}
      onsign={(finding) => (sign = alike(finding, sign) ? null : finding)}
      onadd={(at) => (planner.adding = { kind: 'add', at })}
      height={planner.block ? 150 : 200}
    /></Part
  >
  <p id="road-keys" class="hint mt-1 text-sm" class:sr-only={planner.block}>
    {#if narrow.current}Press a block to change it; the rest is fitted.{:else}Drag a block to another place,
      or its right end to stretch it; the rest is fitted. Keys on a block: ← → earlier and later, ↑ ↓ longer
      and shorter (Shift: 2 min), P pins, Delete takes it out.{/if}
  </p>
  {#if opened}
    <div
      class="border-base-300 rounded-box mt-2 border-2 p-3"
      role="region"
      aria-label="The sign that is open"
    >
      <FindingItem finding={opened} {planner} />
      <button class="link mt-1 text-sm" onclick={() => (sign = null)}>Close the sign</button>
    </div>
  {/if}
  {#if planner.unread}<p class="text-error mt-2" role="alert">
      {planner.unread} The road shows the last plan that could be worked out.
    </p>{/if}
  <div class="mt-2 flex flex-wrap gap-2">
    <button
      class="btn btn-sm btn-primary"
      onclick={() => (planner.adding = { kind: 'add', at: planner.at < 0 ? -1 : planner.at + 1 })}
      >Add to the lesson</button
    >
    <button class="btn btn-sm" onclick={() => void planner.edit({ kind: 'fit' })}>Fit to the booking</button>
  </div>
</section>
<Part name="What can be added"><Adder {planner} {sport} /></Part>

{#snippet more()}
  <div class="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-2">
    <div class="flex min-w-0 flex-col gap-4">
      {#if planner.block}
        {@const block = planner.block}
        <Part name="This block"
          ><BlockEditor
            {planner}
            {block}
            scheduled={planner.plan.blocks.find((s) => s.block === planner.selected)}
            {names}
            vocabulary={vocabulary.data}
          /></Part
        >
      {:else}
        <p class="sheet">Choose a block on the road to change it.</p>
      {/if}
      <Part name="Who comes"><Group {planner} onfaults={() => faults++} /></Part>
    </div>
    <div class="flex min-w-0 flex-col gap-4">
      <Part name="What fits">
        <Findings {planner} />
      </Part>
      <Part name="The courts"><CourtPlans {planner} /></Part>
      <Part name="The booking"><Booking {planner} /></Part>
    </div>
  </div>
{/snippet}

{#if narrow.current}
  <ThumbBlocks {planner} />
  <details class="mt-4">
    <summary class="btn w-full"
      >More of this lesson: each block, who comes, what fits, the courts, the booking</summary
    >
    {@render more()}
  </details>
{:else}
  {@render more()}
{/if}
<div class="foot">
  <Part name="The figures"
    ><EditNotes {planner} /><Drums metrics={planner.plan.metrics} of={planner.id} /></Part
  >
</div>

<style>
  /* The road stays in view while a block is edited. */
  @media (min-width: 701px) and (min-height: 600px) {
    .road-of {
      position: sticky;
      top: 0;
      z-index: 5;
    }
  }
  .foot {
    position: sticky;
    bottom: 0;
    margin-top: 1rem;
  }
  @media (max-width: 700px) {
    .foot {
      position: static;
    }
  }
</style>
