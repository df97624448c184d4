<script lang="ts">
  import Figure from './Figure.svelte'

  /** The tasks that a group or a branch takes up, within a sentence. */
  interface Props {
    of: string
    stretch: { from: number; to: number }
    tasks: number
    fixed: boolean
    onchange: (stretch: { from: number; to: number }) => void
  }
  let { of, stretch, tasks, fixed, onchange }: Props = $props()
</script>

{#if fixed}
  <span
    >{stretch.from === stretch.to
      ? `Task ${stretch.from + 1}`
      : `Tasks ${stretch.from + 1} to ${stretch.to + 1}`}</span
  >
{:else}
  <span>Tasks</span>
  <Figure
    label="First task of {of}"
    value={stretch.from + 1}
    max={tasks}
    onchange={(n) => onchange({ from: n - 1, to: Math.max(n - 1, stretch.to) })}
  />
  <span>to</span>
  <Figure
    label="Last task of {of}"
    value={stretch.to + 1}
    max={tasks}
    onchange={(n) => onchange({ from: Math.min(stretch.from, n - 1), to: n - 1 })}
  />
{/if}
