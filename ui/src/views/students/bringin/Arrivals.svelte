<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { answer, api } from '../../../lib/api/client'
  import { keys } from '../../../lib/page/data'
  import { inWords } from './bringin.svelte'
  import { takeBack } from './takeback'
  import { moment } from '../../../lib/words/words'

  /** What came in of late, to be taken back. */
  const client = useQueryClient()
  const query = createQuery(() => ({
    queryKey: keys.arrivals,
    queryFn: () => answer(api.GET('/api/arrivals')),
  }))
</script>

{#if query.data?.length}
  <details class="mt-4">
    <summary class="cursor-pointer">Brought in of late</summary>
    <ul class="mt-2 flex flex-col gap-2">
      {#each query.data as arrived (arrived.id)}
        <li class="flex flex-wrap items-center gap-3">
          <span>{moment(arrived.at)}: {inWords(arrived)}.</span>
          <button class="btn btn-sm" onclick={() => takeBack(client, arrived.id)}
            >Take back<span class="sr-only"> {moment(arrived.at)}</span></button
          >
        </li>
      {/each}
    </ul>
  </details>
{/if}
