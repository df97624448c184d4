<script lang="ts">
  import { createQuery, keepPreviousData, useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { tick } from 'svelte'
  import { answer, api, type Block, type Drill, type Offer } from '../../lib/api/client'
  import { keys } from '../../lib/page/data'
  import NewDrill from '../../drill/NewDrill.svelte'
  import { many } from '../../lib/words/words'
  import type { Planner } from './planner.svelte'

  /** One field to find what goes into a lesson: blocks, drills, versions, shapes; or what a drill is swapped for. */
  interface Props {
    planner: Planner
    /** The sport of whoever comes. */
    sport: string
  }
  let { planner, sport }: Props = $props()
  const client = useQueryClient()
  let dialog = $state<HTMLDialogElement>()
  let field = $state<HTMLInputElement>()
  let text = $state('')
  let at = $state(0)
  /** A shape that would take the place of what is in the lesson: it is asked first. */
  let replacing = $state.raw<Offer>()
  const id = $props.id()
  const asked = $derived(planner.adding)
  const swapped = $derived(
    asked?.kind === 'add' ? undefined : planner.document.blocks.find((block) => block.id === asked?.block),
  )
  const query = $derived({
    text,
    students: planner.document.students.join(','),
    swap: asked?.kind === 'swap' ? (swapped?.drill ?? '') : asked?.kind === 'count' ? 'none' : '',
  })
  const found = createQuery(() => ({
    queryKey: keys.offers(query),
    queryFn: () => answer(api.GET('/api/lessons/offers', { params: { query } })),
    enabled: Boolean(asked),
    placeholderData: keepPreviousData,
  }))
  const offers = $derived(found.data ?? [])
  const nth = $derived(Math.min(at, Math.max(0, offers.length - 1)))
  const title = $derived(
    asked?.kind === 'swap'
      ? `Swap ${swapped?.title}`
      : asked?.kind === 'count'
        ? `Count ${swapped?.title} by`
        : 'Put into the lesson',
  )

  $effect(() => {
    if (asked) {
      text = ''
      at = 0
      replacing = undefined
      dialog?.showModal()
      void tick().then(() => field?.focus())
    } else dialog?.close()
  })

  async function take(offer: Offer | undefined) {
    const adding = asked
    if (!offer || !adding) return
    if (offer.kind === 'shape' && planner.made) {
      replacing = offer
      await tick()
      document.getElementById(`${id}-replace`)?.focus()
      return
    }
    planner.adding = undefined
    if (offer.kind === 'shape') return planner.fill(offer.title)
    const { block } = offer
    if (!block) return
    if (adding.kind === 'swap') {
      const same = block.drill === swapped?.drill
      return planner.edit(
        same
          ? { kind: 'version', block: adding.block, text: block.version ?? 'as written' }
          : { kind: 'swap', block: adding.block, new: block },
      )
    }
    if (adding.kind === 'add') return planner.add(block, adding.at)
    planner.set(adding.block, { drill: block.drill, version: block.version, turns: undefined })
  }

  function replace() {
    const shape = replacing?.title
    planner.adding = undefined
    return shape && planner.fill(shape)
  }

  function key(event: KeyboardEvent) {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
    if (by) at = Math.min(Math.max(0, nth + by), offers.length - 1)
    else if (event.key === 'Enter') void take(offers[nth])
    else return
    event.preventDefault()
    document.getElementById(`${id}-${nth}`)?.scrollIntoView({ block: 'nearest' })
  }

  /** A new drill stands in the lesson at once; the bench is where it goes on. */
  async function addNew(drill: Drill) {
    const made = { text: drill.document.name, students: query.students, swap: '' }
    const all = await client.fetchQuery({
      queryKey: keys.offers(made),
      queryFn: () => answer(api.GET('/api/lessons/offers', { params: { query: made } })),
    })
    const block: Block | null | undefined = all.find(
      (offer) => offer.kind === 'drill' && offer.block?.drill === drill.id,
    )?.block
    if (block) await planner.add(block, asked?.kind === 'add' ? asked.at : -1)
    planner.adding = undefined
    await push(`/drills/${drill.id}`)
  }
</script>

<dialog
  bind:this={dialog}
  class="modal"
  aria-labelledby="{id}-title"
  onclose={() => (planner.adding = undefined)}
>
  <div class="modal-box adder max-w-2xl">
    <div class="flex items-center gap-3">
      <h2 id="{id}-title" class="flex-1">{title}</h2>
      <form method="dialog"><button class="btn btn-sm">Close</button></form>
    </div>
    <input
      bind:this={field}
      class="input mt-2 w-full"
      role="combobox"
      aria-label="What to add"
      aria-expanded="true"
      aria-controls="{id}-list"
      aria-autocomplete="list"
      aria-activedescendant={offers.length ? `${id}-${nth}` : undefined}
      placeholder="a drill, a version of it, a break, a game, a shape of a lesson"
      autocomplete="off"
      maxlength="100"
      value={text}
      oninput={(event) => ((text = event.currentTarget.value), (at = 0))}
      onkeydown={key}
    />
    <ul id="{id}-list" class="list mt-2" role="listbox" aria-label="What can be added">
      {#each offers as offer, i (offer.kind + offer.title + (offer.block?.drill ?? offer.block?.game ?? ''))}
        <!-- svelte-ignore a11y_click_events_have_key_events -->
        <li
          id="{id}-{i}"
          role="option"
          aria-selected={i === nth}
          class:on={i === nth}
          onclick={() => void take(offer)}
        >
          <span class="font-medium">{offer.title}</span> <span class="hint text-sm">{offer.detail}</span>
        </li>
      {/each}
    </ul>
    {#if found.data && !offers.length}
      <p class="mt-2">Nothing has that name. Take a word away, or begin a new drill.</p>
    {/if}
    {#if found.error}<p class="text-error mt-2" role="alert">{found.error.message}</p>{/if}
    {#if replacing}
      <div class="mt-3" role="alert">
        <p>
          “{replacing.title}” takes the place of all that is in the lesson: {many(
            planner.document.blocks.length,
            'block',
          )}. Undo brings it back.
        </p>
        <div class="mt-2 flex gap-2">
          <button id="{id}-replace" class="btn btn-sm btn-primary" onclick={() => void replace()}
            >Replace all of it</button
          >
          <button class="btn btn-sm" onclick={() => ((replacing = undefined), field?.focus())}
            >Leave it</button
          >
        </div>
      </div>
    {/if}
    {#if asked?.kind === 'add' && !replacing}
      <div class="mt-3"><NewDrill {sport} onmade={addNew} /></div>
    {/if}
  </div>
</dialog>

<style>
  .adder {
    display: flex;
    flex-direction: column;
    height: min(40rem, 90dvh);
  }
  .list {
    flex: 1;
    overflow-y: auto;
  }
  li {
    display: flex;
    flex-direction: column;
    padding: 0.35rem 0.5rem;
    border-radius: var(--radius-field);
    cursor: pointer;
  }
  li.on {
    background: var(--color-base-200);
    outline: 2px solid var(--color-primary);
    outline-offset: -2px;
  }
</style>
