<script lang="ts">
  import type { DrillDocument, Transformation, Vocabulary, WorkedDrill } from '../../lib/api/client'
  import type { Draft } from '../../lib/drafts/draft.svelte'

  /** Easier and harder versions that stand ready; one key tries each. */
  interface Props {
    draft: Draft<DrillDocument>
    builtIn: boolean
    vocabulary: Vocabulary | undefined
    worked: WorkedDrill | undefined
    steps: Transformation[]
    ontry: (steps: Transformation[]) => void
  }
  let { draft, builtIn, vocabulary, worked, steps, ontry }: Props = $props()
  const list = $derived(draft.document.variations ?? [])
  const same = (a: Transformation[], b: Transformation[]) => JSON.stringify(a) === JSON.stringify(b)
  const named = $derived(list.find((each) => same(each.steps, $state.snapshot(steps))))
  let kind = $state<Transformation['kind']>('quicken')
  let name = $state('')
  let text = $state('')

  function keyboard(event: KeyboardEvent) {
    const field = event.target as HTMLElement
    if (event.ctrlKey || event.metaKey || event.altKey || /INPUT|SELECT|TEXTAREA/.test(field.tagName)) return
    const n = Number(event.key)
    if (event.key === '0') ontry([])
    else if (n >= 1 && list[n - 1]) ontry($state.snapshot(list[n - 1]?.steps) ?? [])
    else return
    event.preventDefault()
  }

  function keep() {
    if (!worked) return
    const { variations } = $state.snapshot(draft.document)
    draft.replace({ ...worked.document, variations })
    ontry([])
  }

  function stand(difficulty: 'easier' | 'harder') {
    const tried = $state.snapshot(steps)
    draft.change((d) => {
      d.variations = [
        ...(d.variations ?? []),
        { name: name || `Version ${(d.variations?.length ?? 0) + 1}`, difficulty, steps: tried },
      ]
    })
    name = ''
  }
</script>

<svelte:window onkeydown={keyboard} />
<section aria-labelledby="versions">
  <h2 id="versions">Easier and harder</h2>
  <div class="mt-2 flex flex-wrap gap-2" role="group" aria-label="Versions that stand ready">
    <button class="btn btn-sm" class:btn-primary={!steps.length} onclick={() => ontry([])}
      ><kbd class="drum-digits">0</kbd> as written</button
    >
    {#each list as each, i (i)}
      <button
        class="btn btn-sm"
        class:btn-primary={each === named}
        aria-pressed={each === named}
        onclick={() => ontry($state.snapshot(each.steps))}
        ><kbd class="drum-digits">{i + 1}</kbd>
        {each.name} <span class="text-xs">{each.difficulty}</span></button
      >
    {/each}
  </div>
  <form
    class="mt-2 flex flex-wrap items-center gap-2"
    onsubmit={(event) => {
      event.preventDefault()
      ontry([...$state.snapshot(steps), { kind, ...(kind === 'constrained' && text && { text }) }])
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
  </form>
  {#if steps.length}
    <div class="mt-2" role="status">
      {#each worked?.sentences ?? [] as sentence, i (i)}<p>{sentence}</p>{/each}
    </div>
    {#if !builtIn}
      <div class="mt-2 flex flex-wrap items-center gap-2">
        <button class="btn btn-sm btn-primary" onclick={keep}>Make it the drill</button>
        {#if !named}
          <input
            class="input input-sm w-44"
            aria-label="Name of this version"
            placeholder="a name"
            bind:value={name}
          />
          <button class="btn btn-sm" onclick={() => stand('easier')}>Keep as easier</button>
          <button class="btn btn-sm" onclick={() => stand('harder')}>Keep as harder</button>
        {/if}
      </div>
    {/if}
  {/if}
</section>
