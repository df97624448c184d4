<script lang="ts" module>
  export const signSize = 24
</script>

<script lang="ts">
  import type { Finding, Plan } from '../lib/api/client'

  /** The signs of what was found: those of a block stand above it, the others at the beginning of the road. */
  interface Props {
    plan: Plan
    width: number
    /** Seconds that the road is long. */
    total: number
    /** Where a second is, and how high the effort of a block stands. */
    x: (second: number) => number
    top: (effort: number) => number
    /** A sign was opened. */
    onsign: (finding: Finding) => void
  }
  let { plan, width, total, x, top, onsign }: Props = $props()
  const marks = { problem: '✕', warning: '!', note: 'i' }
  const told = $derived(plan.findings.filter((finding) => !finding.hushed))
  const signs = $derived.by(() => {
    return told.map((finding, i) => {
      const stretch = plan.blocks.find((s) => s.block === finding.block)
      const stands = (other: Finding) => plan.blocks.find((s) => s.block === other.block) === stretch
      const n = told.slice(0, i).filter(stands).length
      // Side by side as far as the block is wide, then one above the other.
      const columns = Math.max(
        1,
        Math.floor(x(stretch ? stretch.end - stretch.start : total) / (signSize + 2)),
      )
      const high = (stretch ? top(stretch.effort) : signSize) - Math.floor(n / columns) * (signSize + 2)
      const from = x(stretch?.start ?? 0) + 1 + (n % columns) * (signSize + 2)
      return { finding, x: Math.min(from, width - signSize), y: Math.max(0, high - signSize - 2) }
    })
  })
</script>

{#each signs as sign, i (i)}
  <g
    role="button"
    tabindex="0"
    class="sign {sign.finding.severity}"
    aria-label="{sign.finding.severity}: {sign.finding.reason}"
    onclick={() => onsign(sign.finding)}
    onkeydown={(event) => {
      if (event.key !== 'Enter' && event.key !== ' ') return
      event.preventDefault()
      onsign(sign.finding)
    }}
  >
    <title>{sign.finding.reason}</title>
    <rect
      x={sign.x + 1}
      y={sign.y + 1}
      width={signSize - 2}
      height={signSize - 2}
      rx={sign.finding.severity === 'warning' ? signSize / 2 : sign.finding.severity === 'note' ? 6 : 0}
    />
    <text x={sign.x + signSize / 2} y={sign.y + signSize * 0.71} text-anchor="middle"
      >{marks[sign.finding.severity]}</text
    >
  </g>
{/each}

<style>
  .sign {
    cursor: pointer;
    font-size: 15px;
    font-weight: 700;
  }
  .sign rect {
    fill: var(--color-base-100);
    stroke: currentColor;
    stroke-width: 2;
  }
  .sign text {
    fill: currentColor;
  }
  .problem {
    color: var(--color-error);
  }
  .warning {
    color: var(--color-warning);
  }
  .note {
    color: var(--color-info);
  }
</style>
