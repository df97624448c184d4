<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import Court from '../../court/Court.svelte'
  import { answer, api, type Drill } from '../../lib/api/client'
  import Async from '../../lib/Async.svelte'
  import { drills, keys, renew, unreadableQuery } from '../../lib/data'
  import { notices } from '../../lib/notice.svelte'
  import UnreadableList from '../../lib/UnreadableList.svelte'
  import NewDrill from '../../court/NewDrill.svelte'

  const client = useQueryClient()
  let withArchived = $state(false)
  let sport = $state('')
  const query = createQuery(() => ({
    queryKey: [...keys.drills, { withArchived }],
    queryFn: () => drills(withArchived),
  }))
  const unreadable = unreadableQuery('drill')

  async function duplicate(drill: Drill) {
    try {
      const copy = await answer(
        api.POST('/api/drills/{id}/duplicate', { params: { path: { id: drill.id } }, body: { id: v7() } }),
      )
      await renew(client, keys.drills)
      await push(`/drills/${copy.id}`)
    } catch (error) {
      notices.wrong(error)
    }
  }

  async function archive(drill: Drill, archived: boolean) {
    try {
      const path = { id: drill.id }
      await answer(api.PUT('/api/drills/{id}/archived', { params: { path }, body: { archived } }))
      const uses = archived ? await answer(api.GET('/api/drills/{id}/uses', { params: { path } })) : []
      await renew(client, keys.drills)
      const where = uses.map((use) => `${use.title} on ${use.date} at ${use.start}`).join(', ')
      const still = where && ` It stays in the lessons that have it: ${where}.`
      notices.done(
        archived ? `${drill.document.name} is archived.${still}` : `${drill.document.name} is back.`,
        archived ? { label: 'Undo', run: () => archive(drill, false) } : undefined,
      )
    } catch (error) {
      notices.wrong(error)
    }
  }
  const counted = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`
</script>

<div class="flex flex-wrap items-center gap-3">
  <h1>Drills</h1>
  <NewDrill {sport} primary onmade={(drill) => push(`/drills/${drill.id}`)} />
  <label class="ml-auto flex items-center gap-2 text-sm">
    Sport
    <select class="select select-sm" bind:value={sport}>
      <option value="">all</option>
      {#each [...new Set((query.data ?? []).map((d) => d.document.sport))] as each (each)}<option
          >{each}</option
        >{/each}
    </select>
  </label>
  <label class="flex items-center gap-2 text-sm">
    <input type="checkbox" class="checkbox checkbox-sm" bind:checked={withArchived} /> Show archived
  </label>
</div>

<UnreadableList list={unreadable.data ?? []} />
<Async {query}>
  {#snippet children(list)}
    <ul class="mt-4 grid gap-4 md:grid-cols-2 2xl:grid-cols-3">
      {#each list.filter((d) => !sport || d.document.sport === sport) as drill (drill.id)}
        <li class="sheet flex gap-4">
          <div class="w-24 shrink-0">
            {#if drill.report}<Court
                report={drill.report}
                label="Court of {drill.document.name}"
                small
              />{/if}
          </div>
          <div class="flex min-w-0 flex-1 flex-col">
            <h2><a class="link link-hover" href="#/drills/{drill.id}">{drill.document.name}</a></h2>
            <p class="hint text-sm">
              {drill.document.sport} · {drill.document.stroke}, {drill.document.rung} · {drill.builtIn
                ? 'built in'
                : 'your own'}{drill.archived ? ' · archived' : ''}
            </p>
            <p class="mt-1">{drill.document.summary}</p>
            {#if drill.report}<p class="mt-1 text-sm">
                {drill.report.measures.length === 1 ? 'Goal' : `${drill.report.measures.length} measures`}: {drill
                  .report.measures[0]?.goal}. {drill.document.pattern.rally
                  ? `Rallies, a stroke every ${drill.document.pattern.gap} s.`
                  : `${counted(drill.document.pattern.tasks.length, 'task')}, ${drill.document.pattern.gap} s apart.`}
              </p>{/if}
            <div class="mt-auto flex gap-2 pt-3">
              <button class="btn btn-sm" onclick={() => duplicate(drill)}
                >Duplicate<span class="sr-only"> {drill.document.name}</span></button
              >
              {#if !drill.builtIn}
                <button class="btn btn-sm" onclick={() => archive(drill, !drill.archived)}>
                  {drill.archived ? 'Bring back' : 'Archive'}<span class="sr-only">
                    {drill.document.name}</span
                  >
                </button>
              {/if}
            </div>
          </div>
        </li>
      {/each}
    </ul>
  {/snippet}
</Async>
