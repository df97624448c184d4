<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { answer, api, describe, fileBody, Refusal, type Coming, type Looked } from '../../lib/api/client'
  import { keys, renew, studentsQuery } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import StudentPicker from '../../lib/fields/StudentPicker.svelte'
  import TakeFile from '../../lib/fields/TakeFile.svelte'
  import TextField from '../../lib/fields/TextField.svelte'
  import { many, today } from '../../lib/words/words'
  import Camera from './Camera.svelte'
  import { codeIn } from './codes'
  import Found from './Found.svelte'

  /** Drills, games, lessons and ladders from a file. */
  const client = useQueryClient()
  const people = studentsQuery()
  let found = $state.raw<Looked[]>()
  /** What becomes of each; leave: it stays out. */
  let becomes = $state<(Coming['as'] | 'leave')[]>([])
  let chosen = $state<string[]>([])
  let date = $state(today())
  let wrong = $state<Record<string, string>>({})
  let refusal = $state('')
  let busy = $state(false)

  /** A picture is one of a code. */
  async function text(file: Blob): Promise<Blob> {
    if (!file.type.startsWith('image/')) return file
    const code = await codeIn(file)
    if (code === undefined)
      throw new Error(
        'No code is seen in this picture: take it straight and sharp, with all of the code in it',
      )
    return new Blob([code])
  }

  async function read(taken: Blob) {
    const file = await text(taken)
    const { documents } = await answer(api.POST('/api/documents/look', fileBody(file)))
    found = documents
    becomes = documents.map((each) =>
      each.wrong.length || each.there === 'the same'
        ? 'leave'
        : each.there === 'new'
          ? 'new'
          : 'beside the one here',
    )
    wrong = {}
    refusal = ''
  }

  async function seen(code: string) {
    try {
      await read(new Blob([code]))
    } catch (error) {
      notices.wrong(error)
    }
  }

  const coming = $derived((found ?? []).filter((_, i) => becomes[i] !== 'leave'))
  const lessons = $derived(coming.filter((each) => each.lesson).length)
  const ladders = $derived(coming.filter((each) => each.ladder).length)
  const counted = $derived(
    (['drill', 'game', 'lesson', 'ladder'] as const)
      .map((kind) => ({ kind, n: coming.filter((each) => each.kind === kind).length }))
      .filter(({ n }) => n)
      .map(({ kind, n }) => many(n, kind))
      .join(', '),
  )

  async function bringIn() {
    busy = true
    refusal = ''
    wrong = {}
    const said = counted
    const documents = (found ?? []).flatMap((each, i): Coming[] => {
      const as = becomes[i]
      if (!as || as === 'leave') return []
      const { drill, game, lesson, ladder, id, revision } = each
      return [{ drill, game, lesson, ladder, id, as, revision }]
    })
    try {
      const body = {
        documents,
        ...(lessons ? { date } : {}),
        ...(lessons + ladders ? { students: chosen } : {}),
      }
      const { ids } = await answer(api.POST('/api/documents', { body }))
      await renew(client, keys.drills, keys.games, keys.lessons, keys.students)
      const only = coming.length === 1 ? coming[0] : undefined
      if (only) await push(`/${only.ladder ? 'student' : only.kind}s/${ids[0] ?? ''}`)
      else await push(lessons ? '/lessons' : '/drills')
      notices.done(`${said} came in.`)
    } catch (error) {
      wrong = error instanceof Refusal ? error.fields : {}
      refusal = describe(error)
    } finally {
      busy = false
    }
  }
</script>

<h1>Bring in drills, games, lessons and ladders</h1>
{#if !found}
  <p class="mt-2 max-w-3xl">
    What another coach handed out with Hodometer, or you on another machine: one document, or a collection.
    Nothing comes in before you have looked at it.
  </p>
  <TakeFile
    label="A file: .json or .zip, or a picture of a code"
    accept=".json,.zip,application/json,application/zip,image/*"
    paste="Or the text of a document, or a line, pasted here"
    act="Read this text"
    {read}
  />
  <Camera onseen={(code) => void seen(code)} />
{:else}
  <div class="mt-3 flex flex-col gap-3">
    {#each found as document, i (i)}
      <Found {document} becomes={becomes[i] ?? 'leave'} onchoose={(as) => (becomes[i] = as)} />
    {/each}
  </div>
  {#if lessons + ladders}
    <section class="sheet mt-3" aria-labelledby="whose">
      <h2 id="whose">{lessons ? 'For whom, and when' : 'Whose they are'}</h2>
      <p class="hint text-sm">
        {lessons
          ? 'Lessons are handed out without their people.'
          : 'Ladders are handed out without a name: choose the student who stands on them.'}
      </p>
      <div class="mt-2">
        <StudentPicker students={people.data ?? []} {chosen} onchange={(list) => (chosen = list)} />
      </div>
      {#if lessons}
        <div class="mt-2 max-w-xs">
          <TextField label="Day" type="date" value={date} onchange={(day) => (date = day)} />
        </div>
      {/if}
    </section>
  {/if}
  {#if refusal}
    <div class="text-error mt-3" role="alert">
      <p>{refusal}</p>
      <ul class="list-disc pl-5">
        {#each Object.entries(wrong) as [path, message] (path)}<li>{message}</li>{/each}
      </ul>
    </div>
  {/if}
  <div class="mt-3 flex flex-wrap items-center gap-2">
    <button
      class="btn btn-primary"
      disabled={busy || !coming.length || (lessons + ladders > 0 && !chosen.length)}
      onclick={bringIn}>Bring in</button
    >
    <button class="btn" onclick={() => (found = undefined)}>Another file</button>
    <span role="status">{counted ? `${counted}.` : 'Nothing is to come in.'}</span>
  </div>
{/if}
