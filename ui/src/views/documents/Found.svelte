<script lang="ts">
  import type { Coming, Looked } from '../../lib/api/client'
  import Differences from '../../lib/drafts/Differences.svelte'
  import { differences } from '../../lib/drafts/merge'

  interface Props {
    document: Looked
    becomes: Coming['as'] | 'leave'
    onchoose: (as: Coming['as'] | 'leave') => void
  }
  let { document, becomes, onchoose }: Props = $props()
  const id = $props.id()
  const theirs = $derived<object>(document.drill ?? document.game ?? document.lesson ?? document.ladder ?? {})
  const mine = $derived<object | undefined>(
    document.mine ? (document.mine.drill ?? document.mine.game ?? document.mine.lesson) : undefined,
  )
  const conflicts = $derived(mine ? differences(mine, theirs) : [])
  /** Where a player stands: the last rung of each stroke. */
  const rungs = (reached: { stroke: string; rung: string; at: string }[]) =>
    Object.entries(
      Object.fromEntries(
        [...reached].sort((a, b) => a.at.localeCompare(b.at)).map(({ stroke, rung }) => [stroke, rung]),
      ),
    )
      .map(([stroke, rung]) => `${stroke}: ${rung}`)
      .join(', ')
  const is = { drill: 'Drill', game: 'Game', lesson: 'Lesson', ladder: 'Ladders of a player' }
</script>

<section class="sheet" aria-labelledby="{id}-name">
  <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
    <h2 id="{id}-name">{document.name || document.file || 'A document'}</h2>
    {#if !document.wrong.length}<span class="hint">{is[document.kind]}</span>{/if}
    {#if !document.wrong.length}
      <select
        class="select select-sm ml-auto w-auto"
        aria-label="What becomes of {document.name}"
        value={becomes}
        onchange={(event) => onchoose(event.currentTarget.value as Coming['as'] | 'leave')}
      >
        {#if document.there === 'new'}<option value="new">comes in</option>{/if}
        {#if document.there !== 'new'}<option value="beside the one here">comes in beside the one here</option
          >{/if}
        {#if document.there === 'another' && document.kind !== 'lesson'}
          <option value="instead of the one here">instead of the one here</option>
        {/if}
        <option value="leave">stays out</option>
      </select>
    {/if}
  </div>
  {#if document.wrong.length}
    <p class="text-error mt-1">It cannot come in:</p>
    <ul class="text-error list-disc pl-5">
      {#each document.wrong.slice(0, 8) as why, i (i)}<li>{why}</li>{/each}
    </ul>
  {/if}
  {#if document.older}
    <p class="hint mt-1 text-sm">Written in an earlier format ({document.older}); it was brought up.</p>
  {/if}
  {#if document.lesson}
    <p class="hint mt-1 text-sm">
      Planned for {document.people}
      {document.people === 1 ? 'student' : 'students'}, {document.lesson.minutes} min.
    </p>
  {/if}
  {#if document.ladder}
    <p class="hint mt-1 text-sm">{rungs(document.ladder.reached)}</p>
  {/if}
  {#if document.needs.length}
    <p class="text-error mt-1">
      What these blocks play is neither here nor in the file: {document.needs.join(', ')}.
    </p>
  {/if}
  {#if document.there === 'the same'}<p class="mt-1">You have the same one already.</p>{/if}
  {#if conflicts.length}
    <p class="mt-1">You have a different version of it. What differs:</p>
    <div class="overflow-x-auto">
      <Differences list={conflicts} mine="Here" theirs="In the file" />
    </div>
  {/if}
</section>
