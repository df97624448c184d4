<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../lib/api/client'
  import { keys } from '../lib/page/data'
  import { onDay } from '../lib/words/words'
  import ResultLines from './ResultLines.svelte'

  /** What a student has played, the newest first: results between sides, beside what was counted in drills. */
  interface Props {
    student: string
  }
  let { student }: Props = $props()
  const query = createQuery(() => ({
    queryKey: [...keys.played, 'of', student],
    queryFn: () => answer(api.GET('/api/played', { params: { query: { student } } })),
  }))
  const most = 8
</script>

{#if query.data?.played.length}
  <section class="sheet" aria-labelledby="games-of">
    <h2 id="games-of">Games so far</h2>
    <ul class="mt-2 grid gap-1">
      {#each query.data.played.slice(0, most) as played (played.id)}
        <li class="flex flex-wrap gap-x-3">
          <span class="w-24 text-sm">{onDay(played.document.date, 'short')}</span>
          <a class="link link-hover font-medium" href="#/games/played/{played.id}">{played.document.title}</a>
          <span class="min-w-0"><ResultLines {played} of={student} /></span>
        </li>
      {/each}
    </ul>
    {#if query.data.total > most}<a class="link text-sm" href="#/games/played"
        >{query.data.total - most} more among all games</a
      >{/if}
  </section>
{/if}
