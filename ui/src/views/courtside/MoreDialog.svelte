<script lang="ts">
  import type { Counter } from '../../lib/api/client'
  import HoldButton from '../../lib/parts/HoldButton.svelte'
  import { onDevice } from '../../lib/page/kept'
  import { minutes } from '../../lib/words/words'
  import type { Run } from './courtside.svelte'
  import type { Gear } from './gear.svelte'
  import GearJoin from './GearJoin.svelte'
  import OnTheSpot from './OnTheSpot.svelte'
  import Sounds from './Sounds.svelte'
  import type { Voice } from './voice.svelte'

  /** What is seldom needed courtside: devices, changes of the drill that is on, calls, and the end of the lesson. */
  interface Props {
    run: Run
    gear: Gear
    voice: Voice
    /** What can be done to the drill that is on; undefined where none is. */
    can: Counter['can'] | undefined
    /** The total is kept small, for players who would look at it. */
    quiet: boolean
    onfinish: () => void
  }
  let { run, gear, voice, can, quiet = $bindable(), onfinish }: Props = $props()
  let dialog = $state<HTMLDialogElement>()
  /** What joins devices is open in it. */
  let joining = $state(false)

  /** open shows it, with what joins devices opened where that is what for. */
  export function open(forDevices = false) {
    if (forDevices) joining = true
    dialog?.showModal()
  }

  function keepQuiet(on: boolean) {
    quiet = on
    onDevice.set('hodometer.quiet', on ? 'on' : 'off')
  }
</script>

<dialog bind:this={dialog} class="modal" aria-label="Changes, calls, and the end of the lesson">
  <div class="modal-box">
    <GearJoin {gear} bind:open={joining} />
    {#if can}
      <OnTheSpot {can} onadjust={(change) => (dialog?.close(), void run.adjust(change))} />
    {/if}
    <label class="mb-3 flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        class="checkbox"
        checked={quiet}
        onchange={(event) => keepQuiet(event.currentTarget.checked)}
      /> Keep the count small
    </label>
    <Sounds {voice} />
    {#if run.begun}
      <h2 class="mt-6 text-lg">End of the lesson</h2>
      <p class="text-sm">
        {run.over
          ? 'The lesson is over.'
          : `${minutes(run.data.lesson.plan.planned - run.second)} min of it are left.`} What was counted is kept,
        and it can be taken up again.
      </p>
      <HoldButton class="big btn-outline btn-error mt-2 w-full" onheld={() => (dialog?.close(), onfinish())}
        >Hold to finish the lesson</HoldButton
      >
    {/if}
    <form method="dialog" class="modal-action"><button class="btn big">Back to the lesson</button></form>
  </div>
</dialog>

<style>
  .big,
  :global(.hold.big) {
    min-height: 64px;
  }
  /* For a thumb. */
  dialog :global(:where(.btn, .link, .select, summary)) {
    min-height: 44px;
  }
</style>
