<script lang="ts">
  import type { Playback } from './playback.svelte'

  interface Props {
    playback: Playback
  }
  let { playback }: Props = $props()
</script>

<div class="flex min-w-0 flex-1 items-center gap-1" role="group" aria-label="Play the turn">
  <button class="btn btn-sm btn-primary px-2.5" onclick={() => playback.toggle()}
    >{playback.playing ? 'Pause' : 'Play'}</button
  >
  <button class="btn btn-sm px-2" onclick={() => playback.step(-1)} aria-label="Ball before">◂</button>
  <button class="btn btn-sm px-2" onclick={() => playback.step(1)} aria-label="Next ball">▸</button>
  <button
    class="btn btn-sm px-2"
    class:btn-primary={playback.half}
    aria-pressed={playback.half}
    aria-label="Half speed"
    title="Half speed"
    onclick={() => (playback.half = !playback.half)}>½</button
  >
  <input
    type="range"
    class="range range-xs min-w-8 flex-1"
    min="0"
    max={playback.end}
    step="0.05"
    value={playback.time}
    aria-label="Moment of the turn"
    aria-valuetext="{playback.time.toFixed(1)} s"
    oninput={(event) => playback.scrub(event.currentTarget.valueAsNumber)}
  />
  <span class="drum-digits text-right text-lg whitespace-nowrap">{playback.time.toFixed(1)} s</span>
</div>
