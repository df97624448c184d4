<script lang="ts">
  import { createQueries } from '@tanstack/svelte-query'
  import { createWindowVirtualizer } from '@tanstack/svelte-virtual'
  import { push } from 'svelte-spa-router'
  import { MediaQuery } from 'svelte/reactivity'
  import { untrack } from 'svelte'
  import type { Sought } from '../../../lib/api/client'
  import {
    drillPage,
    drillsAtOnce,
    settingsQuery,
    unreadableQuery,
    vocabularyQuery,
  } from '../../../lib/page/data'
  import UnreadableList from '../../../lib/parts/UnreadableList.svelte'
  import NewDrill from '../../../drill/NewDrill.svelte'
  import DrillOnList from './DrillOnList.svelte'
  import Filters from './Filters.svelte'
  import { remembered } from './sought.svelte'

  /** The library: what is looked for, some drills at a time; only what is on screen is read and drawn. */
  const settings = settingsQuery()
  const vocabulary = vocabularyQuery()
  const unreadable = unreadableQuery('drill')
  const wide = new MediaQuery('min-width: 1536px')
  const desk = new MediaQuery('min-width: 800px')
  const columns = $derived(wide.current ? 3 : desk.current ? 2 : 1)
  /** As it was when the page was left. */
  const look = remembered()
  const sought = $derived(look.sought)

  let list = $state<HTMLElement>()
  let first = $state(0)
  let last = $state(drillsAtOnce - 1)
  const pages = $derived.by(() => {
    const from = Math.floor(first / drillsAtOnce)
    const to = Math.floor(Math.max(first, last) / drillsAtOnce)
    return [...new Set([0, ...Array.from({ length: to - from + 1 }, (_, i) => from + i)])]
  })
  const queries = createQueries(() => ({
    queries: pages.map((page) => drillPage(sought, page)),
  }))
  const found = $derived(queries[0])
  /** What was found stays in sight while more is typed. */
  let before = $state<{ total: number }>()
  $effect(() => {
    if (found?.data) before = { total: found.data.total }
  })
  const collection = $derived(sought.collection ? `?collection=${encodeURIComponent(sought.collection)}` : '')
  const total = $derived(found?.data?.total ?? before?.total ?? 0)
  const drill = (i: number) => {
    const page = pages.indexOf(Math.floor(i / drillsAtOnce))
    return queries[page]?.data?.drills[i % drillsAtOnce]
  }
  const rows = $derived(Math.ceil(total / columns))

  const virtualizer = createWindowVirtualizer<HTMLElement>({ count: 0, estimateSize: () => 260, overscan: 2 })
  $effect(() => {
    const count = rows
    const scrollMargin = list?.offsetTop ?? 0
    untrack(() => $virtualizer.setOptions({ count, scrollMargin }))
  })
  const items = $derived($virtualizer.getVirtualItems())
  $effect(() => {
    first = (items[0]?.index ?? 0) * columns
    last = ((items.at(-1)?.index ?? 0) + 1) * columns - 1
  })
  const measure = (row: HTMLElement) => {
    $virtualizer.measureElement(row)
  }

  function change(part: Sought) {
    look.change(part)
    scrollTo(0, 0)
  }
</script>

<div class="flex flex-wrap items-center gap-3">
  <h1>Drills</h1>
  <NewDrill sport={sought.sport ?? ''} primary onmade={(made) => push(`/drills/${made.id}`)} />
  <a class="btn btn-sm" href="#/documents">Bring in</a>
  <a class="btn btn-sm" href="/api/out/collection.zip{collection}" download
    >{sought.collection ? `Hand ${sought.collection} out` : 'Hand my own out'}</a
  >
  <a class="btn btn-sm" href="/api/out/book.pdf{collection}" download
    >{sought.collection ? `Print ${sought.collection}` : 'Print my own'}</a
  >
  <p class="ml-auto text-sm" role="status">
    {found?.data ? `${total} ${total === 1 ? 'drill' : 'drills'}` : ''}
  </p>
</div>
<Filters {sought} vocabulary={vocabulary.data} settings={settings.data} onchange={change} />
<UnreadableList list={unreadable.data ?? []} />
{#if found?.error}
  <p class="text-error mt-4" role="alert">{found.error.message}</p>
{:else if found?.data?.total === 0}
  <div class="sheet mt-4">
    <p>No drill is like that. Take a word or a filter away, or begin a new drill.</p>
    <button class="btn btn-sm mt-2" onclick={() => look.forget()}>Show all</button>
  </div>
{/if}
<div
  role="list"
  class="list mt-4"
  style:height="{$virtualizer.getTotalSize()}px"
  bind:this={list}
  aria-label="Drills"
>
  {#each items as row (row.index)}
    <div
      class="row"
      role="presentation"
      data-index={row.index}
      style:--columns={columns}
      style:transform="translateY({row.start - (list?.offsetTop ?? 0)}px)"
      use:measure
    >
      {#each { length: columns }, column (column)}
        {@const i = row.index * columns + column}
        {#if i < total}
          {@const card = drill(i)}
          <div role="listitem" aria-posinset={i + 1} aria-setsize={total}>
            {#if card}<DrillOnList
                drill={card}
                rungs={vocabulary.data?.rungs ?? []}
                settings={settings.data}
              />{:else}<div class="sheet waiting"></div>{/if}
          </div>
        {/if}
      {/each}
    </div>
  {/each}
</div>

<style>
  .list {
    position: relative;
    display: block;
  }
  .row {
    position: absolute;
    inset: 0 0 auto;
    display: grid;
    grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
    gap: 1rem;
    padding-bottom: 1rem;
  }
  .waiting {
    min-height: 12rem;
  }
</style>
