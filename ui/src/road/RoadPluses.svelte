<script lang="ts" module>
  export const plusSize = 24
</script>

<script lang="ts">
  import type { Plan } from '../lib/api/client'

  /** Between two blocks, and at both ends, something can be put in; the marks keep a finger's width apart. */
  interface Props {
    plan: Plan
    width: number
    height: number
    /** Where a second is. */
    x: (second: number) => number
    /** Something is to be put in at a place in the order. */
    onadd: (at: number) => void
  }
  let { plan, width, height, x, onadd }: Props = $props()
  const pluses = $derived.by(() => {
    const list: { at: number; x: number; label: string }[] = []
    for (let i = 0; i <= plan.blocks.length; i++) {
      const [before, after] = [plan.blocks[i - 1], plan.blocks[i]]
      const wanted = Math.min(Math.max(x(after?.start ?? plan.planned), plusSize / 2), width - plusSize / 2)
      const label = !before
        ? 'Add at the beginning'
        : after
          ? `Add between ${before.title} and ${after.title}`
          : 'Add at the end'
      list.push({ at: i, x: Math.max(wanted, (list.at(-1)?.x ?? -plusSize) + plusSize), label })
    }
    return list
  })
</script>

{#each pluses as plus (plus.at)}
  <g
    role="button"
    tabindex="0"
    class="plus"
    aria-label={plus.label}
    onclick={() => onadd(plus.at)}
    onkeydown={(event) => {
      if (event.key !== 'Enter' && event.key !== ' ') return
      event.preventDefault()
      onadd(plus.at)
    }}
  >
    <title>{plus.label}</title>
    <circle cx={plus.x} cy={height - plusSize / 2} r={plusSize / 2 - 1} />
    <path d="M{plus.x - 5} {height - plusSize / 2}h10m-5 -5v10" />
  </g>
{/each}

<style>
  .plus {
    cursor: pointer;
  }
  .plus circle {
    fill: var(--color-base-200);
    stroke: var(--color-base-content);
  }
  .plus path {
    stroke: var(--color-base-content);
    stroke-width: 2;
  }
  .plus:is(:hover, :focus-visible) circle {
    fill: var(--color-primary);
  }
  .plus:is(:hover, :focus-visible) path {
    stroke: var(--color-primary-content);
  }
</style>
