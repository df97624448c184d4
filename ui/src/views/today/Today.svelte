<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { Unreachable } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { diary, keys } from '../../lib/page/data'
  import { narrow } from '../../lib/parts/narrow.svelte'
  import Part from '../../lib/parts/Part.svelte'
  import UnreadableList from '../../lib/parts/UnreadableList.svelte'
  import LessonCard from '../lessons/LessonCard.svelte'
  import { leading } from './leading'
  import NoCopy from './NoCopy.svelte'
  import OnOrNext from './OnOrNext.svelte'
  import Unclosed from './Unclosed.svelte'
  import { dayName } from '../../lib/words/words'

  let now = $state.raw(new Date())
  $effect(() => {
    const ticking = setInterval(() => (now = new Date()), 10_000)
    return () => clearInterval(ticking)
  })

  /** The lesson that is on or next is there with all that belongs to it. */
  let whole = $state(false)
  const query = createQuery(() => ({ queryKey: [...keys.lessons, 'near'], queryFn: () => diary(0, 1) }))
</script>

<h1>Today</h1>
<Async {query}>
  {#snippet children(data)}
    {@const first = narrow.current ? leading(data.lessons, data.today, now) : undefined}
    {#if first}
      {#key first.id}<div class="mt-3">
          <Part name={first.title}><OnOrNext brief={first} {now} bind:whole /></Part>
        </div>{/key}
    {/if}
    {#if whole || !first}
      {@const days = [...new Set([data.today, ...data.lessons.map((l) => l.date)])]}
      <UnreadableList list={data.unreadable} />
      {#each days as day (day)}
        {@const lessons = data.lessons.filter((l) => l.date === day && l.id !== first?.id)}
        <h2 class="mt-5 mb-2">{dayName(day, data.today)}</h2>
        <div class="flex flex-col gap-3">
          {#each lessons as lesson (lesson.id)}
            <Part name={lesson.title}><LessonCard brief={lesson} /></Part>
          {:else}
            <div class="sheet">
              <p>{first && day === data.today ? 'No other lessons today.' : 'No lessons today.'}</p>
              <a class="btn btn-primary mt-3" href="#/lessons">Plan a lesson</a>
            </div>
          {/each}
        </div>
      {/each}
      <Part name="What is still to be closed"><Unclosed /></Part>
      <Part name="The safe copies"><NoCopy /></Part>
    {/if}
  {/snippet}
</Async>
{#if query.error instanceof Unreachable && query.data === undefined}
  {#await import('./Along.svelte') then { default: Along }}<Along />{/await}
{/if}
