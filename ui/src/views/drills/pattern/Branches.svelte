<script lang="ts">
  import type { DrillDocument, Vocabulary } from '../../../lib/api/client'
  import type { Draft } from '../../../lib/drafts/draft.svelte'
  import Choice from './Choice.svelte'
  import Figure from './Figure.svelte'
  import { wrongAt } from '../measures/measures'
  import Stretch from './Stretch.svelte'

  /** Tasks that are played only in some case; those next to one another are one choice. */
  interface Props {
    draft: Draft<DrillDocument>
    vocabulary: Vocabulary
    builtIn: boolean
    errors: Record<string, string>
  }
  type Branch = NonNullable<DrillDocument['pattern']['branches']>[number]
  let { draft, vocabulary, builtIn, errors }: Props = $props()
  const pattern = $derived(draft.document.pattern)
  const branches = $derived(pattern.branches ?? [])
  /** The first task that no branch has yet; the first of all is always played. */
  const free = $derived(
    pattern.tasks.findIndex((_, i) => i > 0 && !branches.some((b) => b.from <= i && i <= b.to)),
  )

  function set(i: number, change: Partial<Branch>) {
    draft.change((d) => d.pattern.branches?.[i] && Object.assign(d.pattern.branches[i], change))
  }

  function add() {
    const branch: Branch = { from: free, to: free, case: 'if it comes short', chance: 0.3 }
    draft.change(
      (d) =>
        (d.pattern.branches = [...(d.pattern.branches ?? []), branch].toSorted((a, b) => a.from - b.from)),
    )
  }

  function remove(i: number) {
    draft.change((d) => {
      d.pattern.branches?.splice(i, 1)
      if (!d.pattern.branches?.length) d.pattern.branches = undefined
    })
  }
</script>

{#if branches.length}
  <ul class="mt-2 flex flex-col gap-2 text-sm" aria-label="Tasks that are played only sometimes">
    {#each branches as branch, i (i)}
      {@const name = `branch ${i + 1}`}
      <li class="flex flex-wrap items-center gap-2">
        <Stretch
          of={name}
          stretch={branch}
          tasks={pattern.tasks.length}
          fixed={builtIn}
          onchange={(at) => set(i, at)}
        />
        {#if builtIn}
          <span>only {branch.case}: {Math.round(100 * branch.chance)} in 100</span>
        {:else}
          <span>only</span>
          <Choice
            label="When {name} is played"
            value={branch.case}
            options={vocabulary.cases}
            onchange={(when) => when && set(i, { case: when })}
          />
          <Figure
            label="How often {name} is played, in 100"
            value={Math.round(100 * branch.chance)}
            max={100}
            onchange={(n) => set(i, { chance: n / 100 })}
          />
          <span>times in 100</span>
          <button class="link" onclick={() => remove(i)}>always<span class="sr-only">, {name}</span></button>
        {/if}
        {#if wrongAt(errors, `pattern.branches.${i}`)}<span class="text-error w-full" role="alert"
            >{wrongAt(errors, `pattern.branches.${i}`)}</span
          >{/if}
      </li>
    {/each}
  </ul>
{/if}
{#if errors['pattern.branches']}<p class="text-error text-sm" role="alert">
    {errors['pattern.branches']}
  </p>{/if}
{#if !builtIn && !pattern.rally && free > 0}
  <button class="btn btn-sm no-print mt-2" onclick={add}>Play task {free + 1} only sometimes</button>
{/if}
