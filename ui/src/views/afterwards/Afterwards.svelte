<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'
  import { keys, renew } from '../../lib/page/data'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import { notices } from '../../lib/parts/notice.svelte'
  import { today } from '../../lib/words/words'
  import Ending from './Ending.svelte'
  import NextLesson from './NextLesson.svelte'
  import Everybody from './Everybody.svelte'
  import StudentResult from './StudentResult.svelte'

  interface Props {
    params: { id: string }
  }
  let { params }: Props = $props()
  const client = useQueryClient()
  const query = createQuery(() => ({
    queryKey: [...keys.lesson(params.id), 'afterwards'],
    queryFn: async () => {
      await drafts.ready
      return answer(api.GET('/api/lessons/{id}/afterwards', { params: { path: { id: params.id } } }))
    },
  }))

  const clockOf = (at: string) =>
    new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })

  /** A lesson that was finished by mistake goes on; what that took is taken from what is left. */
  async function again() {
    const at = new Date().toISOString()
    const acts = [{ id: v7(), at, travel: { kind: 'held' as const, block: '' } }]
    try {
      await answer(
        api.POST('/api/lessons/{id}/acts', { params: { path: { id: params.id } }, body: { sent: at, acts } }),
      )
      await renew(client, keys.lessons)
      await push(`/lessons/${params.id}/courtside`)
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<Async {query}>
  {#snippet children(data)}
    <a class="link link-hover text-sm" href="#/lessons/{params.id}">Plan of this lesson</a>
    <h1>{data.lesson.document.title}, afterwards</h1>
    {#if data.lesson.state === 'finished' && data.lesson.document.date === today()}
      <button class="btn mt-1" onclick={again}>Take it up again</button>
    {/if}
    <p class="hint">
      {data.lesson.document.date}, {data.lesson.document.start}, {data.lesson.document.minutes} min
    </p>
    {#if data.changes.length}
      <section class="mt-3" aria-labelledby="changes-title">
        <h2 id="changes-title">Changed while it was run</h2>
        <ul class="mt-1">
          {#each data.changes as change (change.at)}
            <li>
              <span class="hint">{clockOf(change.at)}</span>
              {change.said.map(({ words }) => words).join(' ')}{change.why ? ` Why: ${change.why}.` : ''}
            </li>
          {/each}
        </ul>
      </section>
    {/if}
    {#if data.students.length > 1}
      <div class="mt-4"><Everybody lesson={params.id} results={data.students} /></div>
    {/if}
    <div class="mt-4"><Ending lesson={params.id} {data} /></div>
    <div class="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-2">
      {#each data.students as result (result.student)}
        <StudentResult
          lesson={params.id}
          {result}
          counters={data.counters.filter((c) => c.student === result.student)}
        />
      {:else}
        <p class="sheet">Nobody is left in this lesson.</p>
      {/each}
    </div>
    {#if data.students.length}<div class="mt-4"><NextLesson lesson={params.id} /></div>{/if}
  {/snippet}
</Async>
