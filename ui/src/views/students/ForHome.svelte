<script lang="ts">
  import { back } from '../../lib/words/days'
  import SpanFields from '../../lib/fields/SpanFields.svelte'

  /** A page for a player and those at home. */
  interface Props {
    student: string
    name: string
    /** The day it is, year-month-day. */
    today: string
  }
  let { student, name, today }: Props = $props()
  let days = $state<{ from?: string; to?: string }>({})
  const from = $derived(days.from ?? back(today, 3))
  const to = $derived(days.to ?? today)
</script>

<details class="no-print mt-4">
  <summary class="cursor-pointer">A page for {name} and those at home</summary>
  <SpanFields {from} {to} onchange={(changed) => (days = { ...days, ...changed })} />
  <p class="mt-3">
    <a
      class="btn btn-sm btn-primary"
      href="/api/out/students/{student}/page.pdf?{new URLSearchParams({ from, to })}"
      download>The page (.pdf)</a
    >
  </p>
  <p class="hint mt-2 text-sm">
    What was worked on, in plain words, the next milestones, and what to practise at home. No notes and
    remarks, nothing of others; there is room to write by hand.
  </p>
</details>
