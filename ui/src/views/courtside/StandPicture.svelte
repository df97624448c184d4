<script lang="ts">
  import StandOn from '../../stand/StandOn.svelte'
  import { firstStanding, type Standing } from '../../stand/standing'

  /** Where to stand, as one picture to be shown on court. */
  interface Props {
    court: string
  }
  let { court }: Props = $props()
  let dialog = $state<HTMLDialogElement>()
  let open = $state(false)
  const asked = $state<Standing>({ ...firstStanding })

  function show() {
    if (asked.court !== court) Object.assign(asked, { court, situation: '' })
    open = true
    dialog?.showModal()
  }
</script>

<button class="btn min-h-11 self-center" onclick={show}>Where to stand</button>
<dialog bind:this={dialog} class="modal" aria-labelledby="stand-title" onclose={() => (open = false)}>
  <div class="modal-box">
    <div class="flex items-center justify-between gap-3">
      <h2 id="stand-title">Where to stand</h2>
      <form method="dialog"><button class="btn">Close</button></form>
    </div>
    {#if open}<div class="mt-2"><StandOn {asked} fixed picture /></div>{/if}
  </div>
</dialog>
