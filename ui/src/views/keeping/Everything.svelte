<script lang="ts">
  import { createQuery, useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, fileBody, type Work } from '../../lib/api/client'
  import { keys } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import { many, moment, size } from '../../lib/words/words'

  const client = useQueryClient()
  const often = 300
  const query = createQuery(() => ({
    queryKey: keys.work,
    queryFn: () => answer(api.GET('/api/keeping/work')),
    refetchInterval: ({ state }) =>
      state.data && !state.data.ended && state.data.what !== 'nothing' ? often : false,
  }))
  const work = $derived(query.data)
  const going = $derived(work !== undefined && work.what !== 'nothing' && !work.ended)
  let theirs = $state(false)
  let sending = $state(false)

  async function shown(asked: Promise<Work>) {
    try {
      client.setQueryData(keys.work, await asked)
    } catch (error) {
      notices.wrong(error)
    }
  }
  const out = () => shown(answer(api.POST('/api/keeping/export')))
  const stop = () => shown(answer(api.DELETE('/api/keeping/work')))

  async function bring(file: File | undefined) {
    if (!file) return
    sending = true
    await shown(answer(api.POST('/api/keeping/import', { params: { query: { theirs } }, ...fileBody(file) })))
    sending = false
  }

  // What came in is on every page.
  $effect(() => {
    if (work?.cameIn)
      void client.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.work[0] })
  })
</script>

<section class="sheet xl:col-span-2" aria-labelledby="everything">
  <h2 id="everything">Everything, out and in</h2>
  <div class="halves mt-2">
    <div>
      <p>
        One .zip that a person can read, and that another machine takes in: students, drills, games, lessons,
        everything counted, your settings.
      </p>
      <p class="mt-3"><button class="btn" disabled={going || sending} onclick={out}>Export all</button></p>
    </div>
    <div>
      <label class="font-medium" for="export-file">An export to bring in (.zip)</label>
      <input
        id="export-file"
        class="file-input mt-1 w-full max-w-md"
        type="file"
        accept=".zip"
        disabled={going || sending}
        onchange={async (event) => {
          const input = event.currentTarget
          await bring(input.files?.[0])
          input.value = '' // the same file can be chosen again
        }}
      />
      <label class="mt-2 flex items-center gap-2">
        <input class="checkbox" type="checkbox" bind:checked={theirs} disabled={going || sending} />
        Where a document differs, take the one of the export
      </label>
      <p class="hint mt-1 text-sm">
        What is not here comes in, all of it or nothing; what is here stays. A safe copy is made first.
      </p>
    </div>
  </div>
  <div class="mt-3" role="status">
    {#if work && going}
      <p>{work.what === 'export' ? 'Exporting' : 'Bringing in'}: {Math.round(100 * work.share)} %</p>
      <p class="flex max-w-xl items-center gap-3">
        <progress class="progress" max="1" value={work.share} aria-label="How much is done"></progress>
        <button class="btn btn-sm" onclick={stop}>Stop</button>
      </p>
    {:else if work?.wrong}
      <p class="text-error">{work.wrong}</p>
    {:else if work?.what === 'export'}
      <p class="flex flex-wrap items-center gap-3">
        <a class="btn btn-primary" href="/api/out/everything.zip" download
          >Save the export ({size(work.bytes)})</a
        >
        <button class="btn btn-sm" onclick={stop}>Forget it</button>
      </p>
      <p class="hint mt-1 text-sm">It holds all that is private: names, notes, what hurts.</p>
    {:else if work?.cameIn}
      {@const came = work.cameIn}
      <p>
        Came in, from the export of {moment(came.created)}: {many(came.students, 'student')},
        {many(came.lessons, 'lesson')}, {many(came.drills, 'drill')}, {many(came.games, 'game')},
        {many(came.counts, 'count')}.
      </p>
      {#if came.differs.length}
        <p class="mt-1">
          {came.theirs
            ? 'Taken from the export, where they differed:'
            : 'Left as they are here, where they differ:'}
          {came.differs
            .slice(0, 12)
            .map((one) => one.name || one.kind)
            .join(', ')}{came.differs.length > 12 ? `, and ${came.differs.length - 12} more` : ''}.
        </p>
      {/if}
      {#if came.kept}<p class="hint mt-1 text-sm">What was here before is among the safe copies.</p>{/if}
    {/if}
  </div>
</section>

<style>
  .halves {
    display: grid;
    gap: 1.5rem;
    grid-template-columns: repeat(auto-fit, minmax(min(20rem, 100%), 1fr));
  }
</style>
