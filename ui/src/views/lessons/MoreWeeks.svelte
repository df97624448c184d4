<script lang="ts">
  import { describe } from '../../lib/api/client'
  import type { weeksQuery } from '../../lib/page/data'

  /** What stands below lessons that come week by week: the way to the next week, or why it could not be read. */
  interface Props {
    query: ReturnType<typeof weeksQuery>
    /** There is enough to see; else the next week that has lessons is read at once. */
    enough: boolean
    label: string
  }
  let { query, enough, label }: Props = $props()

  $effect(() => {
    if (!enough && query.hasNextPage && !query.isFetching) void query.fetchNextPage()
  })
</script>

{#if query.error}<p class="text-error" role="alert">{describe(query.error)}</p>{/if}
{#if query.hasNextPage}
  <button
    class="btn btn-sm mt-2"
    disabled={query.isFetchingNextPage}
    onclick={() => void query.fetchNextPage()}>{label}</button
  >
{/if}
