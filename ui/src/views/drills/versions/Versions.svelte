<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
  import Court from '../../../court/Court.svelte'
  import {
    answer,
    api,
    type DrillDocument,
    type Transformation,
    type Variation,
    type Vocabulary,
  } from '../../../lib/api/client'
  import { keys } from '../../../lib/page/data'
  import type { Bench } from '../bench/bench.svelte'
  import { moveVersion } from './versions'

  /** The ladder of a drill: its versions from the easiest to the hardest, each beside the drill as it is written. */
  interface Props {
    bench: Bench
    vocabulary: Vocabulary | undefined
  }
  let { bench, vocabulary }: Props = $props()
  const draft = $derived(bench.draft)
  const list = $derived(draft.document.variations ?? [])
  const named = $derived(list[bench.tried])
  let kind = $state<Transformation['kind']>('quicken')
  let name = $state('')
  let text = $state('')
  const asked = $derived({
    id: bench.id,
    document: bench.plain,
    people: bench.people,
    hand: bench.hand,
    student: bench.student || undefined,
    level: (bench.level || undefined) as never,
  })
  const versions = createQuery(() => ({
    queryKey: keys.versions(asked),
    queryFn: () => answer(api.POST('/api/drills/versions', { body: asked })),
    placeholderData: keepPreviousData,
  }))
  /**
   * The rungs as they stand on the page, with what was worked out of each; the drill as it is written has no version of
   * its own.
   */
  const rungs = $derived(
    [
      ...list.filter((each) => each.difficulty === 'easier'),
      undefined,
      ...list.filter((each) => each.difficulty === 'harder'),
    ].map((stored) => ({
      stored,
      i: stored ? list.indexOf(stored) : -1,
      name: stored?.name ?? 'as written',
      worked: versions.data?.find((each) => each.name === (stored?.name ?? 'as written')),
    })),
  )
  /** As the steps of a version, or of what is being tried, read. */
  const tryOut = (steps: Transformation[] | undefined) => (bench.steps = $state.snapshot(steps) ?? [])

  function keyboard(event: KeyboardEvent) {
    const field = event.target as HTMLElement
    if (event.ctrlKey || event.metaKey || event.altKey || /INPUT|SELECT|TEXTAREA/.test(field.tagName)) return
    const n = Number(event.key)
    if (event.key === '0') tryOut([])
    else if (n >= 1 && list[n - 1]) tryOut(list[n - 1]?.steps)
    else return
    event.preventDefault()
  }

  function keep() {
    if (!bench.worked) return
    const { variations } = bench.plain
    draft.replace({ ...bench.worked.document, variations })
    tryOut([])
  }

  function stand(difficulty: Variation['difficulty']) {
    const steps = $state.snapshot(bench.steps)
    const fresh = { name: name.trim() || `Version ${list.length + 1}`, difficulty, steps }
    draft.change((d) => (d.variations = [...(d.variations ?? []), fresh]))
    name = ''
  }

  const change = (i: number, part: Partial<Variation>) =>
    draft.change((d) => d.variations?.[i] && Object.assign(d.variations[i], part))

  /** Renamed while it is tried it is still the one that is tried, since that goes by its steps. */
  function remove(i: number) {
    if (list[i] === named) tryOut([])
    draft.change((d) => d.variations?.splice(i, 1))
  }

  /** A version begins with what its steps make of the drill's measures. */
  function own(i: number, measures: DrillDocument['measures'] | undefined) {
    change(i, { measures: $state.snapshot(measures) as DrillDocument['measures'] | undefined })
  }
</script>

<svelte:window onkeydown={keyboard} />
<section class="no-print" aria-labelledby="versions">
  <h2 id="versions">Easier and harder</h2>
  <ol class="mt-2 flex flex-col gap-2" aria-label="Versions, from the easiest to the hardest">
    {#each rungs as { stored, i, name: called, worked } (i)}
      {@const shown = stored ? stored === named : !bench.steps.length}
      <li class="rung border-base-300 rounded-box flex gap-3 border p-2" class:shown>
        <div class="w-14 shrink-0">
          {#if worked?.report}<Court report={worked.report} label="Court of {called}" small />{/if}
        </div>
        <div class="min-w-0 flex-1 text-sm">
          <div class="flex flex-wrap items-center gap-2">
            <button
              class="btn btn-sm"
              class:btn-primary={shown}
              aria-pressed={shown}
              onclick={() => tryOut(stored?.steps ?? [])}
              ><kbd class="drum-digits">{i + 1}</kbd>
              {called}
              {#if stored}<span class="text-xs">{stored.difficulty}</span>{/if}</button
            >
            {#if i >= 0 && !bench.builtIn}
              <span class="ml-auto flex gap-1">
                <button
                  class="btn btn-xs"
                  disabled={!moveVersion(list, i, -1)}
                  aria-label="{called}: easier than the one before"
                  onclick={() =>
                    draft.change(
                      (d) => (d.variations = moveVersion(d.variations ?? [], i, -1) ?? d.variations),
                    )}>↑</button
                >
                <button
                  class="btn btn-xs"
                  disabled={!moveVersion(list, i, 1)}
                  aria-label="{called}: harder than the one after"
                  onclick={() =>
                    draft.change(
                      (d) => (d.variations = moveVersion(d.variations ?? [], i, 1) ?? d.variations),
                    )}>↓</button
                >
                <button class="btn btn-xs" onclick={() => remove(i)}
                  >Take out<span class="sr-only">{` ${called}`}</span></button
                >
              </span>
            {/if}
          </div>
          {#each worked?.sentences ?? [] as sentence, n (n)}<p>{sentence}</p>{/each}
          {#if worked?.problem}<p class="text-error" role="alert">{worked.problem}</p>{/if}
          {#if worked?.verdict}<p class="hint">{worked.verdict}</p>{/if}
          {#if worked?.alone}<p class="hint">
              Its measures are its own: all of a group play it, or nobody.
            </p>{/if}
          {#if stored && !bench.builtIn}
            <div class="mt-1 flex flex-wrap items-center gap-3">
              <label class="flex items-center gap-2"
                >Called <input
                  class="input input-sm w-40"
                  class:input-error={bench.errors[`variations.${i}.name`]}
                  maxlength="60"
                  value={stored.name}
                  aria-label="Name of version {i + 1}"
                  onchange={(event) => change(i, { name: event.currentTarget.value.trim() })}
                /></label
              >
              <label class="flex items-center gap-2"
                ><input
                  type="checkbox"
                  class="checkbox checkbox-sm"
                  checked={Boolean(stored.measures?.length)}
                  onchange={(event) => own(i, event.currentTarget.checked ? worked?.measures : undefined)}
                /> measures of its own</label
              >
            </div>
            {#if bench.errors[`variations.${i}.name`]}<p class="text-error" role="alert">
                {bench.errors[`variations.${i}.name`]}
              </p>{/if}
            {#if stored.measures?.length}
              <button
                class="link"
                onclick={() => {
                  tryOut(stored.steps)
                  bench.tab = 'counts'
                }}>Change what counts in it</button
              >
            {/if}
          {/if}
        </div>
      </li>
    {/each}
  </ol>
  <form
    class="mt-3 flex flex-wrap items-center gap-2"
    onsubmit={(event) => {
      event.preventDefault()
      tryOut([...bench.steps, { kind, ...(kind === 'constrained' && text && { text }) }])
    }}
  >
    <select class="select select-sm w-56" aria-label="A change to try" bind:value={kind}>
      {#each vocabulary?.transformations ?? [] as each (each)}<option>{each}</option>{/each}
    </select>
    {#if kind === 'constrained'}
      <input
        class="input input-sm w-48"
        aria-label="What it is constrained by"
        placeholder="a grip, an object, a band"
        maxlength="60"
        bind:value={text}
      />
    {/if}
    <button class="btn btn-sm" type="submit">Try it</button>
    {#if bench.steps.length}
      <button class="btn btn-sm" type="button" onclick={() => tryOut(bench.steps.slice(0, -1))}
        >Without the last change</button
      >
    {/if}
  </form>
  {#if bench.steps.length}
    {#if bench.asking.refusal}<p class="text-error mt-2" role="alert">{bench.asking.refusal}</p>{/if}
    <div class="mt-2" role="status">
      {#each bench.worked?.sentences ?? [] as sentence, i (i)}<p>{sentence}</p>{/each}
    </div>
    {#if !bench.builtIn && !bench.asking.refusal}
      <div class="mt-2 flex flex-wrap items-center gap-2">
        <button class="btn btn-sm btn-primary" onclick={keep}>Make it the drill</button>
        {#if !named}
          <input
            class="input input-sm w-44"
            aria-label="Name of this version"
            placeholder="a name"
            maxlength="60"
            bind:value={name}
          />
          <button class="btn btn-sm" onclick={() => stand('easier')}>Keep as easier</button>
          <button class="btn btn-sm" onclick={() => stand('harder')}>Keep as harder</button>
        {/if}
      </div>
    {/if}
  {/if}
</section>

<style>
  .shown {
    border-color: var(--color-primary);
  }
</style>
