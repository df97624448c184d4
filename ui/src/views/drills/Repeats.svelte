<script lang="ts">
  import type { DrillDocument } from '../../lib/api/client'
  import type { Draft } from '../../lib/drafts/draft.svelte'

  /** Groups of tasks that are played several times before the sequence goes on. */
  interface Props {
    draft: Draft<DrillDocument>
    builtIn: boolean
    errors: Record<string, string>
  }
  let { draft, builtIn, errors }: Props = $props()
  const pattern = $derived(draft.document.pattern)
  const repeats = $derived(pattern.repeats ?? [])
  const last = $derived(pattern.tasks.length)
  let from = $state(1)
  let to = $state(1)
  let times = $state(5)
  const wrong = (i: number) =>
    Object.entries(errors).find(
      ([at]) => at === `pattern.repeats.${i}` || at.startsWith(`pattern.repeats.${i}.`),
    )?.[1]

  function add(event: SubmitEvent) {
    event.preventDefault()
    const group = { from: from - 1, to: Math.max(from, to) - 1, times }
    draft.change((d) => (d.pattern.repeats = [...(d.pattern.repeats ?? []), group]))
  }

  function remove(i: number) {
    draft.change((d) => {
      d.pattern.repeats?.splice(i, 1)
      if (!d.pattern.repeats?.length) d.pattern.repeats = undefined
    })
  }
</script>

{#if repeats.length}
  <ul class="mt-1 text-sm" aria-label="Groups that are repeated">
    {#each repeats as group, i (i)}
      <li>
        {group.from === group.to ? `Task ${group.from + 1}` : `Tasks ${group.from + 1} to ${group.to + 1}`}: {group.times}
        times, then on
        {#if !builtIn}<button class="link" onclick={() => remove(i)}
            >once only<span class="sr-only">, from task {group.from + 1}</span></button
          >{/if}
        {#if wrong(i)}<span class="text-error" role="alert">{wrong(i)}</span>{/if}
      </li>
    {/each}
  </ul>
{/if}
{#if errors['pattern.repeats']}<p class="text-error text-sm" role="alert">{errors['pattern.repeats']}</p>{/if}
{#if !builtIn && !pattern.rally}
  <form class="no-print mt-2 flex flex-wrap items-center gap-2 text-sm" onsubmit={add}>
    <label
      >Play tasks <input
        class="input input-sm w-16"
        type="number"
        min="1"
        max={last}
        aria-label="First task of the group"
        bind:value={from}
      /></label
    >
    <label
      >to <input
        class="input input-sm w-16"
        type="number"
        min="1"
        max={last}
        aria-label="Last task of the group"
        bind:value={to}
      /></label
    >
    <input
      class="input input-sm w-16"
      type="number"
      min="2"
      max="50"
      aria-label="How often the group is played"
      bind:value={times}
    />
    <span>times, then on</span>
    <button class="btn btn-sm">Repeat them</button>
  </form>
{/if}
