<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import {
    answer,
    api,
    isNew,
    over,
    say,
    type Block,
    type Lesson,
    type LessonDocument,
    type Plan,
  } from '../../lib/api/client'
  import { keys, renew, students as allStudents } from '../../lib/data'
  import { Draft } from '../../lib/draft.svelte'
  import Drums from '../../lib/Drums.svelte'
  import { notices } from '../../lib/notice.svelte'
  import NumberField from '../../lib/NumberField.svelte'
  import SaveState from '../../lib/SaveState.svelte'
  import TextField from '../../lib/TextField.svelte'
  import Road from '../../road/Road.svelte'
  import BlockEditor from './BlockEditor.svelte'
  import Findings from './Findings.svelte'
  import StudentPicker from './StudentPicker.svelte'

  interface Props {
    lesson: Lesson
    onreload: () => void
  }
  let { lesson, onreload }: Props = $props()
  const client = useQueryClient()
  // The planner is made anew for every lesson and version that is read.
  // svelte-ignore state_referenced_locally
  const { id, version, document, plan: firstPlan, state: came } = lesson
  const draft = new Draft<LessonDocument>(document, version, async (body, base) => {
    const kept = await answer(
      api.PUT('/api/lessons/{id}', { params: { path: { id }, header: over(base) }, body }),
    )
    void client.invalidateQueries({ queryKey: keys.lessons, refetchType: 'none' })
    return kept.version
  })
  let plan = $state.raw<Plan>(firstPlan)
  let selected = $state('')
  let unread = $state('')
  let chosenDrill = $state('')

  const people = createQuery(() => ({
    queryKey: [...keys.students, { withAway: true }],
    queryFn: () => allStudents(true),
  }))
  const ready = createQuery(() => ({
    queryKey: keys.blocks(draft.document.students.length),
    queryFn: () =>
      answer(
        api.GET('/api/lessons/blocks', { params: { query: { people: draft.document.students.length } } }),
      ),
  }))
  const at = $derived(draft.document.blocks.findIndex((block) => block.id === selected))
  const sports = $derived(
    new Set(
      (people.data ?? []).filter((s) => draft.document.students.includes(s.id)).map((s) => s.profile.sport),
    ),
  )
  /** Students put away stay where they are chosen. */
  const choosable = $derived(
    (people.data ?? []).filter((s) => !s.away || draft.document.students.includes(s.id)),
  )

  $effect(() => {
    const body = $state.snapshot(draft.document)
    let current = true
    answer(api.POST('/api/lessons/preview', { body }))
      .then((laid) => {
        if (!current) return
        plan = laid
        unread = ''
      })
      .catch((error: unknown) => {
        if (current) unread = say(error)
      })
    return () => (current = false)
  })

  function add(block: Block) {
    const fresh = { ...block, id: v7() }
    draft.change((d) => {
      const last = d.blocks.at(-1)
      const beforeTalk = last?.kind === 'closing talk' && block.kind !== 'closing talk'
      d.blocks.splice(at >= 0 ? at + 1 : d.blocks.length - (beforeTalk ? 1 : 0), 0, fresh)
    })
    selected = fresh.id
  }

  function move(by: number) {
    draft.change((d) => {
      const [block] = d.blocks.splice(at, 1)
      if (block) d.blocks.splice(at + by, 0, block)
    })
  }

  function remove() {
    const next = draft.document.blocks[at + 1] ?? draft.document.blocks[at - 1]
    draft.change((d) => d.blocks.splice(at, 1))
    selected = next?.id ?? ''
  }

  const set = (block: string, part: Partial<Block>) =>
    draft.change((d) => {
      const found = d.blocks.find((b) => b.id === block)
      if (found) Object.assign(found, part)
    })

  async function keepCopy() {
    try {
      const path = { id: v7() }
      await answer(
        api.PUT('/api/lessons/{id}', {
          params: { path, header: isNew },
          body: $state.snapshot(draft.document),
        }),
      )
      await renew(client, keys.lessons)
      await push(`/lessons/${path.id}`)
    } catch (error) {
      notices.wrong(error)
    }
  }

  async function putAway(away: boolean) {
    try {
      await draft.flush()
      await answer(api.PUT('/api/lessons/{id}/away', { params: { path: { id } }, body: { away } }))
      await renew(client, keys.lessons)
      if (away) await push('/lessons')
      notices.done(
        away ? 'The lesson is put away.' : 'The lesson is back.',
        away ? { label: 'Undo', run: () => putAway(false) } : undefined,
      )
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<a class="link link-hover text-sm" href="#/lessons">Lessons</a>
<div class="flex flex-wrap items-center gap-x-3 gap-y-2">
  <h1>{draft.document.title}</h1>
  <SaveState {draft} {onreload} onkeep={() => void keepCopy()} />
  <div class="ml-auto flex flex-wrap gap-2">
    <button class="btn btn-sm" disabled={!draft.canUndo} onclick={() => draft.undo()}>Undo</button>
    <button class="btn btn-sm" disabled={!draft.canRedo} onclick={() => draft.redo()}>Redo</button>
    <button class="btn btn-sm" onclick={() => putAway(true)}>Put away</button>
    <a
      class="btn btn-sm btn-primary"
      href="#/lessons/{id}/{came === 'finished' ? 'afterwards' : 'courtside'}"
      onclick={() => void draft.flush()}
    >
      {came === 'finished' ? 'Afterwards' : 'Go courtside'}
    </a>
  </div>
</div>

<section class="sheet mt-4" aria-label="Road">
  <Road
    {plan}
    {selected}
    onselect={(block) => (selected = selected === block ? '' : block)}
    onstretch={(block, seconds) => set(block, { minutes: seconds / 60 })}
    height={170}
  />
  {#if unread}<p class="text-error mt-2" role="alert">
      {unread} The road shows the last plan that could be laid out.
    </p>{/if}
  <div class="mt-3 flex flex-wrap items-center gap-2">
    <span class="text-sm">Add{at >= 0 ? ' after the chosen block' : ''}:</span>
    {#each (ready.data ?? []).filter((block) => block.kind !== 'drill') as block (block.kind)}
      <button class="btn btn-sm" onclick={() => add(block)}>{block.title}</button>
    {/each}
    <form
      class="flex min-w-0 flex-wrap items-center gap-2"
      onsubmit={(event) => {
        event.preventDefault()
        const block = ready.data?.find((b) => b.drill === chosenDrill)
        if (block) add(block)
      }}
    >
      <select
        class="select select-sm w-64 max-w-full"
        aria-label="A drill to add"
        bind:value={chosenDrill}
        required
      >
        <option value="" disabled>choose a drill</option>
        {#each (ready.data ?? []).filter((block) => block.kind === 'drill') as block (block.drill)}
          <option value={block.drill}>{block.title} ({block.minutes} min)</option>
        {/each}
      </select>
      <button class="btn btn-sm" type="submit">Add the drill</button>
    </form>
  </div>
</section>

<div class="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-2">
  <div class="flex flex-col gap-4">
    {#if at >= 0}
      {@const block = draft.document.blocks[at]}
      {#if block}
        <BlockEditor
          {block}
          stretch={plan.stretches.find((s) => s.block === block.id)}
          errors={draft.fields}
          path="blocks.{at}"
          first={at === 0}
          last={at === draft.document.blocks.length - 1}
          onchange={(part) => set(block.id, part)}
          onmove={move}
          onremove={remove}
        />
      {/if}
    {:else}
      <p class="sheet">Choose a block on the road to change it. Drag its right end to stretch it.</p>
    {/if}
    <section class="sheet" aria-labelledby="booking">
      <h2 id="booking">Booking</h2>
      <div class="mt-2 grid gap-3 sm:grid-cols-2">
        <TextField
          label="Title"
          value={draft.document.title}
          error={draft.fields.title}
          onchange={(v) => draft.change((d) => (d.title = v))}
        />
        <NumberField
          label="Length"
          unit="min"
          step={5}
          value={draft.document.minutes}
          error={draft.fields.minutes}
          onchange={(v) => draft.change((d) => (d.minutes = v))}
        />
        <TextField
          label="Day"
          type="date"
          value={draft.document.date}
          error={draft.fields.date}
          onchange={(v) => draft.change((d) => (d.date = v))}
        />
        <TextField
          label="Start"
          type="time"
          value={draft.document.start}
          error={draft.fields.start}
          onchange={(v) => draft.change((d) => (d.start = v))}
        />
      </div>
      <div class="mt-3">
        <StudentPicker
          students={choosable}
          chosen={draft.document.students}
          error={draft.fields.students}
          onchange={(v) => draft.change((d) => (d.students = v))}
        />
        {#if sports.size > 1}<p class="hint mt-1 text-sm">
            They play different sports: {[...sports].join(', ')}.
          </p>{/if}
      </div>
    </section>
  </div>
  <Findings
    findings={plan.findings}
    blocks={draft.document.blocks}
    onremedy={(remedy) =>
      set(remedy.block, remedy.turns ? { turns: remedy.turns } : { minutes: remedy.minutes })}
  />
</div>
<div class="foot"><Drums drums={plan.drums} /></div>

<style>
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
