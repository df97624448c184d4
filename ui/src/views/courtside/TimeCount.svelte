<script lang="ts">
  import NumberField from '../../lib/fields/NumberField.svelte'
  import type { Tap } from '../../device/runs'

  /** A try on the clock: started and stopped here, or typed. */
  interface Props {
    /** Typed, as somebody else took it. */
    byNumber: boolean
    /** The clock of the lesson goes on: a stopwatch stands with it. */
    running: boolean
    ontap: (tap: Tap) => void
  }
  let { byNumber, running, ontap }: Props = $props()
  /** A try is on its way. */
  let on = $state(false)
  /** When it went on last, by a clock that only goes on, and the milliseconds it had taken before. */
  let since = 0
  let before = 0
  let now = $state(0)
  /** Seconds that were stopped and not taken yet, to the tenth. */
  let taken = $state<number>()
  let typed = $state(0)
  const tenth = (seconds: number) => Math.round(10 * seconds) / 10
  const goes = $derived(on && running)
  const shown = $derived(taken ?? now)

  $effect(() => {
    if (!goes) return
    since = performance.now()
    const look = () => (now = (before + performance.now() - since) / 1000)
    const timer = setInterval(look, 50)
    return () => {
      clearInterval(timer)
      look()
      before += performance.now() - since
    }
  })

  function press() {
    if (!on) {
      taken = undefined
      before = now = 0
      on = true
      return
    }
    const moment = goes ? performance.now() - since : 0
    taken = Math.max(0.1, tenth((before + moment) / 1000))
    on = false
  }

  function take(seconds: number) {
    taken = undefined
    now = typed = 0
    ontap({ kind: 'time', seconds })
  }
</script>

{#if byNumber}
  <div class="typed">
    <NumberField
      label="This try took"
      unit="s"
      min={0}
      step={0.1}
      value={typed}
      onchange={(seconds) => (typed = tenth(seconds))}
    />
    <button class="take" disabled={!(typed > 0)} onclick={() => take(typed)}>Take it</button>
  </div>
{:else}
  <div class="watch">
    <button class="press" class:running={on} disabled={!running && !on} onclick={press}>
      <span class="drum-digits">{shown.toFixed(1)} s</span>
      <span>{on ? (running ? 'Stop' : 'Stop, held') : 'Start'}</span>
    </button>
    <button class="take" disabled={taken === undefined} onclick={() => taken !== undefined && take(taken)}
      >Take it</button
    >
  </div>
{/if}

<style>
  .watch,
  .typed {
    display: grid;
    grid-template-columns: 1.4fr 1fr;
    gap: 0.5rem;
    align-items: end;
  }
  .press,
  .take {
    min-height: 96px;
    border-radius: var(--radius-box);
    font-size: 1.3rem;
    font-weight: 700;
    cursor: pointer;
  }
  .press {
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    background: var(--color-success);
    color: var(--color-success-content);
  }
  .press.running {
    background: var(--color-error);
    color: var(--color-error-content);
  }
  .press .drum-digits {
    font-size: 2.2rem;
  }
  .take {
    border: 4px solid var(--color-base-content);
  }
  .press:disabled,
  .take:disabled {
    opacity: 0.5;
    cursor: default;
  }
</style>
