<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import { answer, api, isNew, Refusal, describe, type Profile, type Student } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys, renew, students, unreadableQuery } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import UnreadableList from '../../lib/parts/UnreadableList.svelte'
  import { today } from '../../lib/words/words'
  import { keepUnsent, unsent } from '../../lib/drafts/unsent'
  import HandOut from '../../lib/parts/HandOut.svelte'
  import Arrivals from './bringin/Arrivals.svelte'
  import ProfileForm from './ProfileForm.svelte'

  const client = useQueryClient()
  let withArchived = $state(false)
  const query = createQuery(() => ({
    queryKey: [...keys.students, { withArchived }],
    queryFn: () => students(withArchived),
  }))
  const unreadable = unreadableQuery('student')

  const blank: Profile = {
    name: '',
    age: 'adult',
    hand: 'right',
    backhand: 'two-handed',
    sport: 'tennis',
    level: 'improver',
    objective: '',
    hurts: '',
    note: '',
  }
  interface Adding {
    id: string
    profile: Profile
  }
  let adding = $state(unsent<Adding>('student'))
  $effect(() => keepUnsent('student', $state.snapshot(adding)))
  let fields = $state<Record<string, string>>({})
  let refusal = $state('')

  function begin() {
    adding = { id: v7(), profile: { ...blank } }
    fields = {}
    refusal = ''
  }

  async function add(event: SubmitEvent) {
    event.preventDefault()
    if (!adding) return
    const { id, profile } = adding
    try {
      await answer(
        api.PUT('/api/students/{id}', {
          params: { path: { id }, header: isNew },
          body: $state.snapshot(profile),
        }),
      )
    } catch (error) {
      fields = error instanceof Refusal ? error.fields : {}
      refusal = describe(error)
      return
    }
    adding = null
    await renew(client, keys.students)
    await push(`/students/${id}`)
    notices.done(`${profile.name} is added.`)
  }

  async function archive(student: Student, archived: boolean) {
    const id = student.id
    try {
      await answer(api.PUT('/api/students/{id}/archived', { params: { path: { id } }, body: { archived } }))
      await renew(client, keys.students)
      const back = { label: 'Undo', run: () => archive(student, !archived) }
      notices.done(
        archived ? `${student.profile.name} is archived.` : `${student.profile.name} is back.`,
        archived ? back : undefined,
      )
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<div class="flex flex-wrap items-center gap-3">
  <h1>Students</h1>
  <label class="ml-auto flex items-center gap-2 text-sm">
    <input type="checkbox" class="checkbox checkbox-sm" bind:checked={withArchived} /> Show archived
  </label>
  <a class="btn" href="#/students/bring-in">Bring in from a spreadsheet</a>
  <button class="btn btn-primary" onclick={begin}>Add a student</button>
</div>

{#if adding}
  <form class="sheet mt-4" onsubmit={add} aria-label="New student" novalidate>
    <ProfileForm
      profile={adding.profile}
      errors={fields}
      onchange={(profile) => adding && (adding.profile = profile)}
    />
    {#if refusal}<p class="text-error mt-3" role="alert">{refusal}</p>{/if}
    <div class="mt-4 flex gap-2">
      <button class="btn btn-primary" type="submit">Add</button>
      <button class="btn" type="button" onclick={() => (adding = null)}>Leave it</button>
    </div>
  </form>
{/if}

<Arrivals />
<HandOut today={today()} />
<UnreadableList list={unreadable.data ?? []} />
<Async {query}>
  {#snippet children(list)}
    <div class="mt-4 overflow-x-auto">
      {#if list.length === 0 && !adding}
        <div class="sheet">
          <p>
            Nobody here yet. Add the first student: a name is enough to begin. Or
            <a class="link" href="#/students/bring-in">bring all of them in from a spreadsheet</a>.
          </p>
        </div>
      {:else}
        <table class="table">
          <thead>
            <tr>
              <th scope="col">Name</th><th scope="col">Sport</th><th scope="col">Level</th><th scope="col"
                >Age</th
              >
              <th scope="col">Hand</th><th scope="col">Works towards</th><th scope="col"
                ><span class="sr-only">Actions</span></th
              >
            </tr>
          </thead>
          <tbody>
            {#each list as student (student.id)}
              <tr>
                <th scope="row"
                  ><a class="link link-hover" href="#/students/{student.id}">{student.profile.name}</a></th
                >
                <td>{student.profile.sport}</td>
                <td>{student.profile.level}</td>
                <td>{student.profile.age}</td>
                <td>{student.profile.hand}</td>
                <td
                  >{student.profile.objective}{#if student.hurts}<p class="text-error">
                      Hurts: {student.hurts}{student.rests ? ` (rests ${student.rests})` : ''}
                    </p>{/if}</td
                >
                <td class="text-right">
                  <button class="btn btn-sm" onclick={() => archive(student, !student.archived)}>
                    {student.archived ? 'Bring back' : 'Archive'}<span class="sr-only">
                      {student.profile.name}</span
                    >
                  </button>
                </td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
    </div>
  {/snippet}
</Async>
