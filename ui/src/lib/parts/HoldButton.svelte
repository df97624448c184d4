<script lang="ts">
  import type { Snippet } from 'svelte'

  /** A button for what ends something: it is held down for a moment, by thumb or by key, never pressed by mistake. */
  interface Props {
    onheld: () => void
    /** What is said where it was only pressed. */
    hint?: string
    class?: string
    children: Snippet
  }
  let { onheld, hint = 'Hold it down', class: look = '', children }: Props = $props()
  const long = 800
  let timer: ReturnType<typeof setTimeout> | undefined
  /** When it was pressed, where it is held. */
  let since = $state<number>()
  let pressed = $state(false)
  const holding = $derived(since !== undefined)

  function down({ timeStamp }: Event) {
    if (holding) return
    since = timeStamp
    pressed = false
    timer = setTimeout(held, long)
  }
  function held() {
    clearTimeout(timer)
    since = undefined
    onheld()
  }
  /** It counts when it was let go: where the page is busy, that is heard before the timer. */
  function up({ timeStamp }: Event) {
    if (since === undefined) return
    if (timeStamp - since >= long) return held()
    clearTimeout(timer)
    since = undefined
    pressed = true
  }
  const by = (event: KeyboardEvent) => event.key === 'Enter' || event.key === ' '
</script>

<button
  type="button"
  class="hold btn {look}"
  class:holding
  onpointerdown={down}
  onpointerup={up}
  onpointerleave={up}
  onpointercancel={up}
  onkeydown={(event) => by(event) && (event.preventDefault(), down(event))}
  onkeyup={(event) => by(event) && up(event)}
  onblur={up}
  oncontextmenu={(event) => event.preventDefault()}
>
  <span class="filling" style:transition-duration="{holding ? long : 150}ms"></span>
  <span class="said"
    >{#if pressed}<span role="status">{hint}</span>{:else}{@render children()}{/if}</span
  >
</button>

<style>
  .hold {
    position: relative;
    overflow: hidden;
    touch-action: none;
    user-select: none;
  }
  .filling {
    position: absolute;
    inset: 0;
    background: currentcolor;
    opacity: 0.25;
    transform: scaleX(0);
    transform-origin: left;
    transition-property: transform;
    transition-timing-function: linear;
  }
  .holding .filling {
    transform: scaleX(1);
  }
  .said {
    position: relative;
  }
</style>
