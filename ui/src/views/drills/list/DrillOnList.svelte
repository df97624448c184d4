<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import Court from '../../../court/Court.svelte'
  import { answer, api, type DrillCard, type Settings } from '../../../lib/api/client'
  import { keys, renew } from '../../../lib/page/data'
  import { notices } from '../../../lib/parts/notice.svelte'
  import Collect from '../../../drill/Collect.svelte'
  import RungRoad from '../../../drill/RungRoad.svelte'
  import { many } from '../../../lib/words/words'

  /** A drill to be chosen: its court, what it takes, and the road it serves. */
  interface Props {
    drill: DrillCard
    rungs: readonly string[]
    settings: Settings | undefined
  }
  let { drill, rungs, settings }: Props = $props()
  const client = useQueryClient()
  const d = $derived(drill.document)
  const takes = $derived(
    [
      d.pattern.rally
        ? `rallies, a stroke every ${d.pattern.gap} s`
        : `${many(d.pattern.tasks.length, 'task')}, ${d.pattern.gap} s apart`,
      `${drill.minutes} min for one`,
      drill.players > 1 ? `${drill.players} play` : '',
      drill.versions.length ? many(drill.versions.length - 1, 'version') : '',
    ].filter(Boolean),
  )

  async function duplicate() {
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

  async function archive(archived: boolean) {
    try {
      const path = { id: drill.id }
      await answer(api.PUT('/api/drills/{id}/archived', { params: { path }, body: { archived } }))
      const uses = archived ? await answer(api.GET('/api/drills/{id}/uses', { params: { path } })) : []
      await renew(client, keys.drills)
      const where = uses.map((use) => `${use.title} on ${use.date} at ${use.start}`).join(', ')
      const still = where && ` It stays in the lessons that have it: ${where}.`
      notices.done(
        archived ? `${d.name} is archived.${still}` : `${d.name} is back.`,
        archived ? { label: 'Undo', run: () => archive(false) } : undefined,
      )
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<article class="sheet flex h-full gap-4" aria-label={d.name}>
  <div class="w-24 shrink-0">
    {#if drill.report}<Court report={drill.report} label="Court of {d.name}" small />{/if}
  </div>
  <div class="flex min-w-0 flex-1 flex-col">
    <h2><a class="link link-hover" href="#/drills/{drill.id}">{d.name}</a></h2>
    <p class="hint text-sm">
      {d.sport} · for {drill.suits} · {drill.builtIn ? 'built in' : 'your own'}{drill.archived
        ? ' · archived'
        : ''}{drill.used ? ` · last on ${drill.used}` : ''}
    </p>
    <p class="text-sm"><RungRoad stroke={d.stroke} rung={d.rung} {rungs} /></p>
    {#if drill.serves}<p class="text-sm font-medium">The next step of {drill.serves}</p>{/if}
    <p class="mt-1">{d.summary}</p>
    {#if drill.report}<p class="mt-1 text-sm">
        {drill.report.measures.length === 1 ? 'Goal' : `${drill.report.measures.length} measures`}: {drill
          .report.measures[0]?.goal}. <span class="first-letter:uppercase">{takes.join(' · ')}.</span>
      </p>{/if}
    <div class="mt-auto flex flex-wrap gap-2 pt-3">
      <button class="btn btn-sm" onclick={duplicate}
        >Duplicate<span class="sr-only">{` ${d.name}`}</span></button
      >
      {#if settings}<Collect drill={drill.id} name={d.name} {settings} />{/if}
      {#if !drill.builtIn}
        <button class="btn btn-sm" onclick={() => archive(!drill.archived)}>
          {drill.archived ? 'Bring back' : 'Archive'}<span class="sr-only">{` ${d.name}`}</span>
        </button>
      {/if}
    </div>
  </div>
</article>
