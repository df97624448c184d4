<script lang="ts">
  import { codeSeen } from './codes'

  interface Props {
    /** A code was seen. */
    onseen: (text: string) => void
  }
  let { onseen }: Props = $props()
  const lookEvery = 250
  let video = $state<HTMLVideoElement>()
  let on = $state(false)
  let wrong = $state('')

  $effect(() => {
    if (!on || !video) return
    const shown = video
    let stream: MediaStream | undefined
    let gone = false
    const look = async () => {
      while (!gone) {
        const text = await codeSeen(shown).catch(() => undefined)
        if (text && !gone) {
          on = false
          onseen(text)
          return
        }
        await new Promise((done) => setTimeout(done, lookEvery))
      }
    }
    navigator.mediaDevices
      .getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1920 } } })
      .then(async (taken) => {
        stream = taken
        if (gone) return taken.getTracks().forEach((track) => track.stop())
        shown.srcObject = taken
        await shown.play()
        await look()
      })
      .catch(() => {
        wrong =
          'There is no camera here, or this page may not use it. Take a picture of the code and choose it as a file.'
        on = false
      })
    return () => {
      gone = true
      stream?.getTracks().forEach((track) => track.stop())
    }
  })
</script>

<div class="mt-3">
  {#if on}
    <video bind:this={video} muted playsinline aria-label="What the camera sees"></video>
    <p class="mt-1">
      Hold the code so that it fills most of the picture.
      <button class="btn btn-sm" onclick={() => (on = false)}>Stop the camera</button>
    </p>
  {:else}
    <button class="btn" onclick={() => ((wrong = ''), (on = true))}>Hold a code before the camera</button>
  {/if}
  {#if wrong}<p class="text-error mt-1" role="alert">{wrong}</p>{/if}
</div>

<style>
  video {
    width: min(28rem, 100%);
    border-radius: var(--radius-box);
    background: #000;
  }
</style>
