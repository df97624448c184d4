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
  let holding = $state(false)
  let pressed = $state(false)

  function down() {
    if (holding) return
    holding = true
    pressed = false
    timer = setTimeout(() => {
      holding = false
      onheld()
    }, long)
  }
  function up() {
    clearTimeout(timer)
    if (holding) pressed = true
    holding = false
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
  onkeydown={(event) => by(event) && (event.preventDefault(), down())}
  onkeyup={(event) => by(event) && up()}
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
