<script lang="ts">
  import type { Place } from '../../../lib/api/client'
  import { usualPlace } from '../pattern/tasks'

  /**
   * People and things to be put on court: dragged out, or pressed and then the court; by key they come to a usual
   * place.
   */
  interface Props {
    court: { length: number; singles: number }
    /** What the next press on the court puts there. */
    armed: Place['kind'] | ''
    onarm: (kind: Place['kind'] | '') => void
    /** Dropped at a pixel of the screen. */
    ondrop: (kind: Place['kind'], x: number, y: number) => void
    onput: (kind: Place['kind'], at: { x: number; y: number }) => void
  }
  let { court, armed, onarm, ondrop, onput }: Props = $props()
  const kinds: { kind: Place['kind']; sign: string }[] = [
    { kind: 'cone', sign: '▲' },
    { kind: 'strip', sign: '▬' },
    { kind: 'rope', sign: '╌' },
    { kind: 'basket', sign: 'B' },
    { kind: 'obstacle', sign: '▭' },
    { kind: 'start', sign: 'S' },
    { kind: 'recovery', sign: 'R' },
    { kind: 'opponent', sign: 'O' },
    { kind: 'partner', sign: 'P' },
    { kind: 'queue', sign: 'Q' },
    { kind: 'on deck', sign: 'D' },
  ]
  let held = $state<{ kind: Place['kind']; sign: string; x: number; y: number; moved: boolean }>()

  function grab(event: PointerEvent, each: (typeof kinds)[number]) {
    if (event.button !== 0) return
    ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
    held = { ...each, x: event.clientX, y: event.clientY, moved: false }
  }

  function drag(event: PointerEvent) {
    if (!held) return
    const far = Math.hypot(event.clientX - held.x, event.clientY - held.y) > 6
    if (held.moved || far) held = { ...held, x: event.clientX, y: event.clientY, moved: true }
  }

  function drop(event: PointerEvent) {
    if (held?.moved) ondrop(held.kind, event.clientX, event.clientY)
    else if (held) onarm(armed === held.kind ? '' : held.kind)
    held = undefined
  }

  /** A press with a key has no pointer before it. */
  function key(event: MouseEvent, kind: Place['kind']) {
    if (event.detail === 0) onput(kind, usualPlace(court, kind))
  }
</script>

<div class="tray" role="toolbar" aria-label="To be put on court">
  {#each kinds as each (each.kind)}
    <button
      class="thing"
      class:armed={armed === each.kind}
      aria-pressed={armed === each.kind}
      title="{each.kind}: drag it on court, or press it and then the court"
      onpointerdown={(event) => grab(event, each)}
      onpointermove={drag}
      onpointerup={drop}
      onpointercancel={() => (held = undefined)}
      onclick={(event) => key(event, each.kind)}
      ><span aria-hidden="true">{each.sign}</span> {each.kind}</button
    >
  {/each}
</div>
{#if held?.moved}<span class="held" style:left="{held.x}px" style:top="{held.y}px" aria-hidden="true"
    >{held.sign}</span
  >{/if}

<style>
  .tray {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem;
  }
  .thing,
  .held {
    border: 1px solid var(--color-base-300);
    border-radius: var(--radius-field);
    background: var(--color-base-100);
  }
  .thing {
    flex: 1 0 auto;
    padding: 0.15rem 0.4rem;
    min-height: 1.75rem;
    font-size: 0.875rem;
    text-align: left;
    white-space: nowrap;
    cursor: grab;
    touch-action: none;
  }
  .thing span,
  .held {
    display: inline-block;
    min-width: 0.9rem;
    font: 600 0.95rem var(--font-drum);
  }
  .armed {
    background: var(--color-primary);
    color: var(--color-primary-content);
  }
  .held {
    position: fixed;
    z-index: 20;
    padding: 0.1rem 0.5rem;
    transform: translate(-50%, -50%);
    pointer-events: none;
  }
</style>
