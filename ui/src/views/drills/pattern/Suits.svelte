<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api, type DrillDocument } from '../../../lib/api/client'
  import { keys } from '../../../lib/page/data'

  /** The levels that a drill is offered to as it stands. */
  interface Props {
    document: DrillDocument
  }
  let { document }: Props = $props()
  const plain = $derived($state.snapshot(document) as DrillDocument)
  const written = $derived(document.level ?? 'club player')
  const query = createQuery(() => ({
    queryKey: [...keys.drills, 'suits', plain],
    queryFn: () => answer(api.POST('/api/drills/suits', { body: { document: plain } })),
    placeholderData: (before: { levels: string } | undefined) => before,
  }))
</script>

{#if query.data}
  <p class="hint self-end pb-2 text-sm">
    {query.data.levels
      ? `Offered to ${query.data.levels}: alone, they meet its goal 2 to 9 times in 10 in these turns.`
      : `No level meets its goal 2 to 9 times in 10 in these turns: it is offered to whom it is written for, ${written}.`}
  </p>
{/if}
