<script lang="ts">
  import type { Playback } from './playback.svelte'

  interface Props {
    playback: Playback
  }
  let { playback }: Props = $props()
</script>

<div class="no-print mt-2 flex flex-wrap items-center gap-2" role="group" aria-label="Play the turn">
  <button class="btn btn-sm btn-primary" onclick={() => playback.toggle()}
    >{playback.playing ? 'Pause' : 'Play'}</button
  >
  <button class="btn btn-sm" onclick={() => playback.step(-1)} aria-label="Ball before">◂</button>
  <button class="btn btn-sm" onclick={() => playback.step(1)} aria-label="Next ball">▸</button>
  <label class="flex items-center gap-1 text-sm"
    ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={playback.half} /> half speed</label
  >
  <input
    type="range"
    class="range range-xs min-w-24 flex-1"
    min="0"
    max={playback.end}
    step="0.05"
    value={playback.time}
    aria-label="Moment of the turn"
    aria-valuetext="{playback.time.toFixed(1)} s"
    oninput={(event) => playback.scrub(event.currentTarget.valueAsNumber)}
  />
  <span class="drum-digits w-14 text-right text-lg">{playback.time.toFixed(1)} s</span>
</div>
