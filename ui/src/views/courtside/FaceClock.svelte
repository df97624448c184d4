<script lang="ts">
  import type { Face } from '../../lib/api/client'
  import { calledAt, inWords, phaseAt, type Phase } from './face'

  /** The clock of a measure: work and rest in turn, or a challenge; it goes by the wall clock, and on after a reload. */
  interface Props {
    face: Face
    /** Under which it is kept on this device. */
    name: string
    oncall: (text: string, over: boolean) => void
  }
  let { face, name, oncall }: Props = $props()
  // The clock is made anew for every measure.
  // svelte-ignore state_referenced_locally
  const key = `hodometer.face.${name}`
  let began = $state(Number(sessionStorage.getItem(key)) || 0)
  let now = $state(Date.now())
  const phase = $derived(began ? phaseAt(face, Math.max(0, now - began) / 1000) : undefined)
  const running = $derived(phase !== undefined && phase.what !== 'over')
  const whole = $derived(Math.ceil(phase?.left ?? face.work))
  const shown = $derived(`${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`)

  $effect(() => {
    if (!running) return
    const timer = setInterval(() => (now = Date.now()), 100)
    return () => clearInterval(timer)
  })
  let called: Phase | undefined
  $effect(() => {
    if (!phase) return
    const text = calledAt(face, called, phase)
    // A clock that was over before this page was opened is not called again.
    if (text && (called || phase.what !== 'over')) oncall(text, phase.what === 'over')
    called = phase
  })

  function keep(at: number) {
    began = at
    now = Date.now()
    called = undefined
    if (at) sessionStorage.setItem(key, String(at))
    else sessionStorage.removeItem(key)
  }
</script>

<div class="face" class:rest={phase?.what === 'rest'} role="timer" aria-label="Clock of this measure">
  <span class="drum-digits">{shown}</span>
  <span class="what"
    >{#if !phase}{inWords(face)}{:else if phase.what === 'over'}time is up{:else}{phase.what}{face.rounds > 1
        ? ` ${phase.round} of ${face.rounds}`
        : ''}{/if}</span
  >
  <button class="btn" onclick={() => keep(running ? 0 : Date.now())}
    >{running ? 'Stop' : phase ? 'Again' : 'Start'}<span class="sr-only"> the clock</span></button
  >
</div>

<style>
  .face {
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
