<script lang="ts">
  import { notices } from './notice.svelte'

  interface Props {
    /** At the top, where the foot of the page is for the thumb. */
    aside?: boolean
  }
  let { aside = false }: Props = $props()

  let alert = $state<HTMLElement>()

  /** A press on a notice goes to what lies beneath it, and the notice out of the way; its buttons are its own. */
  function pressed({ target, clientX, clientY }: PointerEvent) {
    if (!alert || notices.current?.act || alert.contains(target as Node)) return
    const { left, top, right, bottom } = alert.getBoundingClientRect()
    if (clientX >= left && clientX <= right && clientY >= top && clientY <= bottom) notices.close()
  }

  async function act() {
    const chosen = notices.current?.act
    notices.close()
    try {
      await chosen?.run()
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<svelte:window onpointerdown={pressed} />
<div
  class="toast toast-center z-20 {aside ? 'toast-top' : 'max-sm:bottom-16'}"
  role="status"
  aria-live="polite"
>
  {#if notices.current}
    <div
      bind:this={alert}
      class="alert"
      class:alert-error={notices.current.kind === 'wrong'}
      class:alert-success={notices.current.kind === 'done'}
    >
      <span>{notices.current.text}</span>
      {#if notices.current.act}<button class="btn btn-sm" onclick={act}>{notices.current.act.label}</button
        >{/if}
      <button class="btn btn-sm btn-ghost text-inherit" onclick={() => notices.close()}>Close</button>
    </div>
  {/if}
</div>

<style>
  .toast,
  .alert {
    pointer-events: none;
  }
  .btn {
    pointer-events: auto;
  }
</style>
