<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import { keys } from '../../lib/page/data'
  import { onDay } from '../../lib/words/words'

  /** Lessons that were run and of which there is more to say. */
  const query = createQuery(() => ({
    queryKey: keys.unclosed,
    queryFn: () => answer(api.GET('/api/lessons/unclosed')),
  }))
</script>

{#if query.data?.lessons.length}
  <section class="mt-5" aria-labelledby="unclosed">
    <h2 id="unclosed" class="mb-2">Still to be closed</h2>
    <ul class="sheet grid gap-1">
      {#each query.data.lessons as each (each.id)}
        <li>
          <a class="link inline-flex min-h-11 items-center" href="#/lessons/{each.id}/afterwards"
            >{each.title}, {onDay(each.date, 'short')}</a
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
