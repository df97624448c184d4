<script lang="ts">
  import type { Face } from '../../lib/api/client'
  import { inTab } from '../../lib/page/kept'
  import { calledAt, inWords, phaseAt, type Phase } from './face'

  /**
   * The clock of a measure: work and rest in turn, or a challenge; it goes by the clock of the lesson, stands with it,
   * and goes on after a reload.
   */
  interface Props {
    face: Face
    /** Under which it is kept on this device. */
    name: string
    /** Of the lesson. */
    second: number
    /** The clock of the lesson goes on. */
    running: boolean
    oncall: (text: string, over: boolean) => void
  }
  let { face, name, second, running, oncall }: Props = $props()
  // The clock is made anew for every measure.
  // svelte-ignore state_referenced_locally
  const key = `hodometer.face.second.${name}`
  const kept = inTab.get(key)
  /** At which second of the lesson it was started; undefined where it was not. */
  let began = $state(kept === null ? undefined : Number(kept))
  const phase = $derived(began === undefined ? undefined : phaseAt(face, Math.max(0, second - began)))
  const on = $derived(phase !== undefined && phase.what !== 'over')
  const whole = $derived(Math.ceil(phase?.left ?? face.work))
  const shown = $derived(`${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`)

  let called: Phase | undefined
  $effect(() => {
    if (!phase || !running) return
    const text = calledAt(face, called, phase)
    // A clock that was over before this page was opened is not called again.
    if (text && (called || phase.what !== 'over')) oncall(text, phase.what === 'over')
    called = phase
  })

  function keep(at: number | undefined) {
    began = at
    called = undefined
    if (at === undefined) inTab.remove(key)
    else inTab.set(key, String(at))
  }
</script>

<div class="face" class:rest={phase?.what === 'rest'} role="timer" aria-label="Clock of this measure">
  <span class="drum-digits">{shown}</span>
  <span class="what"
    >{#if !phase}{inWords(face)}{:else if phase.what === 'over'}time is up{:else}{phase.what}{face.rounds > 1
        ? ` ${phase.round} of ${face.rounds}`
        : ''}{/if}{#if !running}, held{/if}</span
  >
  <button class="btn" disabled={!running && !on} onclick={() => keep(on ? undefined : second)}
    >{on ? 'Stop' : phase ? 'Again' : 'Start'}<span class="sr-only"> the clock</span></button
  >
</div>

<style>
  .face {
    flex: none;
    display: grid;
    grid-template-columns: auto 1fr auto;
    align-items: center;
    gap: 0.75rem;
    padding-left: 0.75rem;
    border-radius: var(--radius-box);
    background: var(--drum);
    color: var(--on-drum);
    overflow: hidden;
  }
  .face.rest {
    background: var(--color-base-200);
    color: var(--color-base-content);
  }
  .drum-digits {
    font-size: 2.2rem;
    line-height: 1.2;
  }
  .what {
    font-weight: 600;
  }
  .btn {
    min-height: 48px;
    border-radius: 0;
  }
</style>
