<script lang="ts">
  import Play from '@lucide/svelte/icons/play'
  import { today } from '../../lib/words/words'
  import type { Run } from './courtside.svelte'

  /** Begin, and where it is later than planned: to the end of the booking, or all of it. */
  interface Props {
    run: Run
  }
  let { run }: Props = $props()
  let dialog = $state<HTMLDialogElement>()
  let late = $state(0)
  let start = $state('')
  const document = $derived(run.data.lesson.document)
  /** What is later than this share of the booking is another time, not late. */
  const most = 0.75
  const clock = (minutes: number) =>
    `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
  const planned = $derived.by(() => {
    const [hours, minutes] = document.start.split(':').map(Number)
    return (hours ?? 0) * 60 + (minutes ?? 0)
  })

  function begin() {
    const now = new Date()
    const minute = now.getHours() * 60 + now.getMinutes()
    late = minute - planned
    start = clock(minute)
    const so = document.date === today() && late >= 1 && late <= most * document.minutes
    if (so && run.second === 0) dialog?.showModal()
    else void run.begin()
  }

  function into(minutes: number) {
    dialog?.close()
    void run.begin({ minutes, start })
  }
</script>

<button class="btn btn-primary wide" onclick={begin}><Play aria-hidden="true" /> Begin</button>
<dialog bind:this={dialog} class="modal" aria-labelledby="late-title">
  <div class="modal-box">
    <h2 id="late-title">{late} min late</h2>
    <div class="mt-3 grid gap-2">
      <button class="btn btn-primary choice" onclick={() => into(document.minutes - late)}
        >End at {clock(planned + document.minutes)} as booked, all of it shorter</button
      >
      <button class="btn choice" onclick={() => into(document.minutes)}
        >The whole lesson, until {clock(planned + document.minutes + late)}</button
      >
    </div>
    <form method="dialog" class="modal-action"><button class="btn">Not yet</button></form>
  </div>
</dialog>

<style>
  .choice {
    min-height: 64px;
    height: auto;
  }
</style>
