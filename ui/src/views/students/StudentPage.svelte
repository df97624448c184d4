<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { answer, api, type Student } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys, renew } from '../../lib/page/data'
  import { door } from '../../lib/page/door.svelte'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import { notices } from '../../lib/parts/notice.svelte'
  import HandOut from '../../lib/parts/HandOut.svelte'
  import SaveState from '../../lib/drafts/SaveState.svelte'
  import { moment } from '../../lib/words/words'
  import GamesOf from '../../game/GamesOf.svelte'
  import ForHome from './ForHome.svelte'
  import DrillHistory from './DrillHistory.svelte'
  import InGames from './InGames.svelte'
  import ProfileForm from './ProfileForm.svelte'
  import Roll from './Roll.svelte'
  import SeenFaults from './SeenFaults.svelte'
  import StrokeLadder from './StrokeLadder.svelte'
  import TimedRuns from './TimedRuns.svelte'

  interface Props {
    student: Student
  }
  let { student }: Props = $props()
  const client = useQueryClient()
  // The page is made anew for every student.
  // svelte-ignore state_referenced_locally
  const { id } = student
  const read = $derived({ document: student.profile, revision: student.revision })
  // svelte-ignore state_referenced_locally
  const draft = drafts.open('student', id, read)
  $effect(() => draft.offer(read))
  const progress = createQuery(() => ({
    queryKey: keys.progress(id),
    queryFn: () => answer(api.GET('/api/students/{id}/progress', { params: { path: { id } } })),
  }))
  let dialog = $state<HTMLDialogElement>()
  /** What becomes of the safe copies that hold this student. */
  let inCopies = $state<'stay' | 'erase' | 'delete'>('stay')
  let asked = $state(false)
  const holding = createQuery(() => ({
    queryKey: [...keys.student(id), 'copies'],
    queryFn: () => answer(api.GET('/api/students/{id}/copies', { params: { path: { id } } })),
    enabled: asked && door.state?.coach === true,
    gcTime: 0,
  }))

  const choices = [
    ['stay', 'Leave the copies as they are'],
    ['erase', 'Erase them from the copies too'],
    ['delete', 'Delete these copies'],
  ] as const

  async function erase() {
    try {
      const { copies, newest } = await answer(
        api.DELETE('/api/students/{id}', { params: { path: { id }, query: { copies: inCopies } } }),
      )
      drafts.forget('student', id)
      await push('/students')
      client.removeQueries({ queryKey: keys.student(id) })
      await renew(client, keys.students, keys.lessons)
      const left = copies
        ? ` ${copies === 1 ? 'One safe copy' : `${copies} safe copies`} of before still ${copies === 1 ? 'holds' : 'hold'} them, the newest of ${moment(newest)}: see Settings, Keeping it safe.`
        : ''
      notices.done(`${draft.document.name} is erased for good.${left}`)
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<a class="link link-hover text-sm" href="#/students">Students</a>
<div class="flex flex-wrap items-baseline gap-3">
  <h1>{draft.document.name}</h1>
  <span class="hint">{draft.document.sport}, {draft.document.level}, {draft.document.hand}-handed</span>
</div>

{#if progress.isPending}
  <p class="mt-4" role="status">Loading…</p>
{:else}
  <div class="mt-4 grid grid-cols-1 items-start gap-4 xl:grid-cols-2">
    <div class="flex flex-col gap-4">
      <Async query={progress}>
        {#snippet children(data)}
          <section class="sheet" aria-labelledby="next">
            <h2 id="next">Next step</h2>
            {#each data.strokes as stroke (stroke.stroke)}
              <StrokeLadder student={id} {stroke} />
            {:else}
              <p class="mt-2">
                Nothing counted yet. After the first drill courtside, the next step stands here with its
                reason.
              </p>
            {/each}
          </section>
        {/snippet}
      </Async>
      <section class="sheet" aria-labelledby="about">
        <div class="mb-3 flex flex-wrap items-baseline gap-3">
          <h2 id="about">About {draft.document.name}</h2>
          <SaveState {draft} />
        </div>
        {#if progress.data?.grown}
          {@const age = progress.data.grown}
          <p class="alert mb-3">
            By the birthday it is {age} now.
            <button
              class="btn btn-sm"
              onclick={() => draft.replace({ ...$state.snapshot(draft.document), age })}
              >Change the age</button
            >
          </p>
        {/if}
        <ProfileForm
          profile={draft.document}
          errors={draft.fields}
          onchange={(changed) => draft.replace(changed)}
        />
        <div class="mt-4 flex gap-2">
          <button class="btn btn-sm" disabled={!draft.canUndo} onclick={() => draft.undo()}>Undo</button>
          <button
            class="btn btn-sm btn-outline btn-error ml-auto"
            onclick={() => ((asked = true), dialog?.showModal())}>Erase for good…</button
          >
        </div>
      </section>
      <section class="sheet" aria-labelledby="quick">
        <h2 id="quick">How quick</h2>
        <TimedRuns
          profile={draft.document}
          running={progress.data?.running}
          today={progress.data?.today ?? ''}
          errors={draft.fields}
          onchange={(timed) => draft.replace({ ...$state.snapshot(draft.document), timed })}
        />
      </section>
      {#if progress.data}<Roll roll={progress.data.roll} />{/if}
      <SeenFaults faults={progress.data?.faults ?? []} />
      <InGames strokes={progress.data?.inGames ?? []} />
      <GamesOf student={draft.id} />
      {#if progress.data}
        {@const { today } = progress.data}
        <ForHome student={id} name={draft.document.name} {today} />
        <HandOut student={id} {today} />
      {/if}
    </div>
    <Async query={progress}>
      {#snippet children(data)}
        <section class="sheet" aria-labelledby="history">
          <h2 id="history">Drills so far</h2>
          {#each data.drills as drill (drill.drill)}
            <DrillHistory student={id} {drill} />
          {:else}
            <p class="mt-2">No drills yet.</p>
          {/each}
          {#if data.remarks.length}
            <h3 class="mt-4 font-semibold">Remarks</h3>
            <ul class="mt-1 flex flex-col gap-1">
              {#each data.remarks.slice(0, 6) as remark (remark.lesson)}
                <li class="flex gap-3">
                  <a
                    class="link link-hover whitespace-nowrap tabular-nums"
                    href="#/lessons/{remark.lesson}/afterwards">{remark.date}</a
                  >
                  <span class="whitespace-nowrap"
                    >{remark.engagement ? `${remark.engagement} of 10` : 'not asked'}{remark.effort === null
                      ? ''
                      : `, effort ${remark.effort}`}</span
                  >
                  <span>{remark.remark}</span>
                </li>
              {/each}
            </ul>
          {/if}
        </section>
      {/snippet}
    </Async>
  </div>
{/if}

<dialog bind:this={dialog} class="modal" aria-labelledby="erase-title">
  <div class="modal-box">
    <h2 id="erase-title">Erase {draft.document.name} for good?</h2>
    <p class="mt-2">
      Everything counted and remarked about {draft.document.name} goes too, and is in no copy that is made from
      now on. This cannot be undone. To take a student off the list, archive them instead.
    </p>
    {#if holding.data?.length}
      <fieldset class="mt-4 grid gap-1">
        <legend class="font-medium">
          {holding.data.length === 1 ? 'One safe copy holds' : `${holding.data.length} safe copies hold`} them:
        </legend>
        <ul class="hint max-h-32 overflow-y-auto text-sm">
          {#each holding.data as copy (copy.name)}<li>{moment(copy.at)}, {copy.why}</li>{/each}
        </ul>
        {#each choices as [value, label] (value)}
          <label class="flex min-h-11 items-center gap-3">
            <input type="radio" class="radio" name="copies" {value} bind:group={inCopies} />
            {label}
          </label>
        {/each}
      </fieldset>
    {/if}
    <form method="dialog" class="modal-action">
      <button class="btn">Keep</button>
      <button class="btn btn-error" onclick={erase}>Erase for good</button>
    </form>
  </div>
</dialog>
