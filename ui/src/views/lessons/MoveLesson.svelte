<script lang="ts">
  import { onMount } from 'svelte'
  import type { LessonBrief, LessonDocument } from '../../lib/api/client'
  import TextField from '../../lib/fields/TextField.svelte'

  interface Props {
    lesson: LessonBrief
    onmove: (to: Pick<LessonDocument, 'date' | 'start'>) => void
    onclose: () => void
  }
  let { lesson, onmove, onclose }: Props = $props()
  let dialog = $state<HTMLDialogElement>()
  // The dialog is made anew for every lesson that is moved.
  // svelte-ignore state_referenced_locally
  let date = $state(lesson.date)
  // svelte-ignore state_referenced_locally
  let start = $state(lesson.start)

  onMount(() => dialog?.showModal())

  function move(event: SubmitEvent) {
    event.preventDefault()
    onmove({ date, start })
  }
</script>

<dialog bind:this={dialog} class="modal" {onclose} aria-labelledby="move-title">
  <div class="modal-box">
    <h2 id="move-title">Move {lesson.title}</h2>
    <form onsubmit={move} novalidate>
      <div class="mt-2 grid grid-cols-2 gap-3">
        <TextField label="Day" type="date" value={date} onchange={(v) => (date = v)} />
        <TextField label="Start" type="time" value={start} onchange={(v) => (start = v)} />
      </div>
      <div class="modal-action">
        <button class="btn btn-primary" type="submit">Move it</button>
        <button class="btn" type="button" onclick={() => dialog?.close()}>Leave it</button>
      </div>
    </form>
  </div>
</dialog>
