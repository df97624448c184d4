<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, type Played } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys, renew } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import { onDay } from '../../lib/words/words'
  import NewResults from './NewResults.svelte'
  import ResultLines from '../../game/ResultLines.svelte'
  import Rooms from './Rooms.svelte'

  /** Games that were played, the newest first. */
  const client = useQueryClient()
  let skip = $state(0)
  const query = createQuery(() => ({
    queryKey: [...keys.played, skip],
    queryFn: () => answer(api.GET('/api/played', { params: { query: { skip } } })),
  }))

  async function archive(played: Played, archived: boolean) {
    try {
      await answer(
        api.PUT('/api/played/{id}/archived', { params: { path: { id: played.id } }, body: { archived } }),
      )
      await renew(client, keys.played)
      notices.done(
        archived ? `${played.document.title} is out of the record.` : `${played.document.title} is back.`,
        archived ? { label: 'Undo', run: () => archive(played, false) } : undefined,
      )
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<div class="flex flex-wrap items-center gap-3">
  <h1>Games</h1>
  <Rooms here="played" />
  <div class="ml-auto flex gap-2"><NewResults /></div>
</div>
<Async {query}>
  {#snippet children(page)}
    {#if page.total === 0}<p class="sheet mt-4">
        Nothing was played yet. Choose a game under <a class="link" href="#/games">To play</a>, or enter
        results.
      </p>{/if}
    <ul class="mt-4 grid gap-2" aria-label="Games that were played">
      {#each page.played as played (played.id)}
        <li class="sheet flex flex-wrap items-start gap-x-4 gap-y-1">
          <span class="w-28 text-sm">{onDay(played.document.date, 'short')}</span>
          <a class="link link-hover font-medium" href="#/games/played/{played.id}">{played.document.title}</a>
          {#if played.state && !played.state.over}<span class="badge">still running</span>{/if}
          <span class="min-w-0 grow"><ResultLines {played} /></span>
          <button class="btn btn-sm" onclick={() => archive(played, true)}
            >Take out<span class="sr-only"> {played.document.title}</span></button
          >
        </li>
      {/each}
    </ul>
    <div class="mt-3 flex gap-2">
      {#if skip > 0}<button class="btn btn-sm" onclick={() => (skip = Math.max(0, skip - 30))}>Newer</button
        >{/if}
      {#if page.total > skip + page.played.length}<button class="btn btn-sm" onclick={() => (skip += 30)}
          >Older</button
        >{/if}
    </div>
  {/snippet}
</Async>
