<script lang="ts">
  import { notices } from './notice.svelte'

  interface Props {
    /** At the top, where the foot of the page is for the thumb. */
    aside?: boolean
  }
  let { aside = false }: Props = $props()

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

<div
  class="toast toast-center z-20 {aside ? 'toast-top' : 'max-sm:bottom-16'}"
  role="status"
  aria-live="polite"
>
  {#if notices.current}
    <div
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
