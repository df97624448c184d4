<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { v7 } from 'uuid'
  import { answer, api, describe, type Lesson } from '../../lib/api/client'
  import { keys } from '../../lib/page/data'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import TextField from '../../lib/fields/TextField.svelte'
  import { later } from './week'

  /** Copies a lesson to another day, or to the same day of some weeks. */
  interface Props {
    id: string
    date: string
    /** Saves what waits before it is copied. */
    before: () => Promise<void>
  }
  let { id, date, before }: Props = $props()
  const client = useQueryClient()
  let dialog = $state<HTMLDialogElement>()
  let first = $state('')
  let weeks = $state(1)
  let made = $state.raw<Lesson[]>([])
  let wrong = $state('')

  function begin() {
    first = later(date, 7)
    weeks = 1
    made = []
    wrong = ''
    dialog?.showModal()
  }

  async function copy(event: SubmitEvent) {
    event.preventDefault()
    try {
      await before()
      const ids = Array.from({ length: Math.min(26, Math.max(1, Math.round(weeks))) }, () => v7())
      made = await answer(
        api.POST('/api/lessons/{id}/copies', { params: { path: { id } }, body: { ids, date: first } }),
      )
      wrong = ''
      // The plan on this page stays as it is; the lists read themselves again when they are opened.
      await client.invalidateQueries({ queryKey: keys.lessons, refetchType: 'none' })
    } catch (error) {
      wrong = describe(error)
    }
  }
</script>

<button class="btn btn-sm" onclick={begin}>Copy or repeat</button>
<dialog bind:this={dialog} class="modal" aria-labelledby="copies-title">
  <div class="modal-box">
    <h2 id="copies-title">Copy this lesson</h2>
    {#if made.length}
      <ul class="mt-2 flex flex-col gap-1">
        {#each made as lesson (lesson.id)}
          <li>
            <a class="link" href="#/lessons/{lesson.id}" onclick={() => dialog?.close()}
              >{lesson.document.date} {lesson.document.start}</a
            >
            {#each lesson.clashes as clash, i (i)}<span class="text-error block text-sm">{clash}</span>{/each}
          </li>
        {/each}
      </ul>
      <div class="modal-action"><button class="btn" onclick={() => dialog?.close()}>Close</button></div>
    {:else}
      <form onsubmit={copy} novalidate>
        <div class="mt-2 grid grid-cols-2 gap-3">
          <TextField label="First copy on" type="date" value={first} onchange={(v) => (first = v)} />
          <NumberField label="How many weeks" min={1} value={weeks} onchange={(v) => (weeks = v)} />
        </div>
        <p class="hint mt-2 text-sm">One copy a week, on the same weekday. Each can be changed by itself.</p>
        {#if wrong}<p class="text-error mt-2 text-sm" role="alert">{wrong}</p>{/if}
        <div class="modal-action">
          <button class="btn btn-primary" type="submit">Copy</button>
          <button class="btn" type="button" onclick={() => dialog?.close()}>Leave it</button>
        </div>
      </form>
    {/if}
  </div>
</dialog>
