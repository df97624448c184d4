<script lang="ts">
  import type { DrillDocument } from '../../../lib/api/client'
  import type { Draft } from '../../../lib/drafts/draft.svelte'
  import LengthField from '../../../lib/fields/LengthField.svelte'
  import Choice from './Choice.svelte'
  import Figure from './Figure.svelte'
  import { wrongAt } from '../measures/measures'
  import Stretch from './Stretch.svelte'

  /** Groups of tasks that are played several times, or for some seconds, before the sequence goes on. */
  interface Props {
    draft: Draft<DrillDocument>
    builtIn: boolean
    errors: Record<string, string>
  }
  type Group = NonNullable<DrillDocument['pattern']['repeats']>[number]
  let { draft, builtIn, errors }: Props = $props()
  const pattern = $derived(draft.document.pattern)
  const groups = $derived(pattern.repeats ?? [])
  const players = $derived(draft.document.places.filter((place) => place.kind === 'start').length)

  function set(i: number, change: Partial<Group>) {
    draft.change((d) => d.pattern.repeats?.[i] && Object.assign(d.pattern.repeats[i], change))
  }

  function add() {
    const last = pattern.tasks.length - 1
    draft.change((d) => (d.pattern.repeats = [...(d.pattern.repeats ?? []), { from: 0, to: last, times: 2 }]))
  }

  function remove(i: number) {
    draft.change((d) => {
      d.pattern.repeats?.splice(i, 1)
      if (!d.pattern.repeats?.length) d.pattern.repeats = undefined
    })
  }
  const counted = (by: string | undefined) =>
    by === 'seconds' ? { seconds: 20, times: undefined } : { seconds: undefined, times: 2 }
  const whose = $derived(
    Array.from({ length: players }, (_, i) => ({ value: String(i + 1), label: `for player ${i + 1}` })),
  )
</script>

{#if groups.length}
  <ul class="mt-2 flex flex-col gap-2 text-sm" aria-label="Groups that are repeated">
    {#each groups as group, i (i)}
      {@const name = `group ${i + 1}`}
      <li class="flex flex-wrap items-center gap-2">
        <Stretch
          of={name}
          stretch={group}
          tasks={pattern.tasks.length}
          fixed={builtIn}
          onchange={(at) => set(i, at)}
        />:
        {#if builtIn}
          <span
            >{group.seconds ? `for ${group.seconds} s` : `${group.times} times`}{group.nearer
              ? group.nearer > 0
                ? ', a step nearer each time'
                : ', a step further back each time'
              : ''}, then on</span
          >
        {:else}
          <Figure
            label={group.seconds ? `Seconds of ${name}` : `How often ${name} is played`}
            value={group.seconds ?? group.times ?? 2}
            min={group.seconds ? 1 : 2}
            onchange={(n) => set(i, group.seconds ? { seconds: n } : { times: n })}
          />
          <Choice
            label="Times or seconds of {name}"
            value={group.seconds ? 'seconds' : 'times'}
            options={['times', 'seconds']}
            onchange={(by) => set(i, counted(by))}
          />
          <LengthField
            label="Nearer each time (−: further back)"
            metres={group.nearer ?? 0}
            error={errors[`pattern.repeats.${i}.nearer`]}
            onchange={(nearer) => set(i, { nearer: nearer || undefined })}
          />
          {#if players > 1 && group.nearer}
            <Choice
              label="Who comes nearer in {name}"
              value={group.whose ? String(group.whose) : undefined}
              usual="for everybody"
              options={whose}
              onchange={(who) => set(i, { whose: who ? Number(who) : undefined })}
            />
          {/if}
          <button class="link" onclick={() => remove(i)}
            >once only<span class="sr-only">, {name}</span></button
          >
        {/if}
        {#if wrongAt(errors, `pattern.repeats.${i}`)}<span class="text-error w-full" role="alert"
            >{wrongAt(errors, `pattern.repeats.${i}`)}</span
          >{/if}
      </li>
    {/each}
  </ul>
{/if}
{#if errors['pattern.repeats']}<p class="text-error text-sm" role="alert">{errors['pattern.repeats']}</p>{/if}
{#if !builtIn && !pattern.rally}
  <button class="btn btn-sm no-print me-2 mt-2" onclick={add}>Repeat a group of tasks</button>
{/if}
