<script lang="ts">
  import NumberField from '../../lib/NumberField.svelte'
  import type { Tap } from '../../device/runs'

  /** A try on the clock: started and stopped here, or typed. */
  interface Props {
    /** Typed, as somebody else took it. */
    byNumber: boolean
    ontap: (tap: Tap) => void
  }
  let { byNumber, ontap }: Props = $props()
  let began = $state<number>()
  let now = $state(0)
  /** Seconds that were stopped and not taken yet, to the tenth. */
  let taken = $state<number>()
  let typed = $state(0)
  const tenth = (seconds: number) => Math.round(10 * seconds) / 10
  const running = $derived(began !== undefined)
  const shown = $derived(taken ?? (began === undefined ? 0 : (now - began) / 1000))

  $effect(() => {
    if (!running) return
    const timer = setInterval(() => (now = performance.now()), 50)
    return () => clearInterval(timer)
  })

  function press() {
    if (began === undefined) {
      taken = undefined
      began = now = performance.now()
      return
    }
    taken = Math.max(0.1, tenth((performance.now() - began) / 1000))
    began = undefined
  }

  function take(seconds: number) {
    taken = undefined
    typed = 0
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
    <button class="press" class:running onclick={press}>
      <span class="drum-digits">{shown.toFixed(1)} s</span>
      <span>{running ? 'Stop' : 'Start'}</span>
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
  .take:disabled {
    opacity: 0.5;
    cursor: default;
  }
</style>
