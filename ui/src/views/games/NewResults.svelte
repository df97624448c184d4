<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import { answer, api, describe, isNew, type Match } from '../../lib/api/client'
  import { keys, renew, studentsQuery } from '../../lib/page/data'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import { commonest, today } from '../../lib/words/words'

  /** A round robin, or an evening whose results are entered: who was there. */
  const client = useQueryClient()
  const students = studentsQuery()
  let dialog = $state<HTMLDialogElement>()
  let kind = $state<'robin' | 'updown' | 'evening'>('robin')
  const titles = {
    robin: 'Everybody against everybody',
    updown: 'Up and down the courts',
    evening: 'Results of an evening',
  }
  let chosen = $state<string[]>([])
  let courts = $state(2)
  let minutes = $state(12)
  let pairs = $state(false)
  const each = $derived(pairs ? 2 : 1)
  /** Where somebody plays who was pressed as the n-th. */
  const place = (n: number) =>
    kind === 'updown' ? `court ${Math.floor(n / (2 * each)) + 1}` : `pair ${Math.floor(n / 2) + 1}`
  let wrong = $state('')
  /** The sport that most of them play. */
  const sport = $derived(
    commonest(
      (students.data ?? []).filter(({ id }) => chosen.includes(id)).map(({ profile }) => profile.sport),
    ) ?? 'tennis',
  )

  function show(which: typeof kind) {
    kind = which
    chosen = []
    wrong = ''
    dialog?.showModal()
  }

  async function begin() {
    const id = v7()
    const players = $state.snapshot(chosen)
    const body: Match = {
      version: 1,
      title: kind === 'evening' ? titles.evening : `${titles[kind]}, ${players.length}`,
      sport,
      date: today(),
      players,
      ...(kind === 'robin' ? { robin: { courts, minutes, pairs } } : {}),
      ...(kind === 'updown'
        ? {
            robin: {
              courts: Math.max(1, Math.floor(players.length / (2 * each))),
              minutes,
              upDown: true,
              pairs,
            },
          }
        : {}),
    }
    try {
      await answer(api.PUT('/api/played/{id}', { params: { path: { id }, header: isNew }, body }))
      dialog?.close()
      await renew(client, keys.played)
      await push(`/games/played/${id}`)
    } catch (error) {
      wrong = describe(error)
    }
  }
</script>

<button class="btn btn-sm" onclick={() => show('evening')}>Enter results</button>
<button class="btn btn-sm" onclick={() => show('updown')}>Up and down</button>
<button class="btn btn-sm btn-primary" onclick={() => show('robin')}>Round robin</button>
<dialog bind:this={dialog} class="modal" aria-label={titles[kind]}>
  <div class="modal-box">
    <h2>{titles[kind]}</h2>
    <div class="mt-1 flex items-center gap-2">
      <p class="text-sm" role="status">{chosen.length} chosen, {sport}</p>
      <button
        class="btn btn-xs ml-auto"
        onclick={() => (chosen = (students.data ?? []).map((each) => each.id))}>All</button
      >
    </div>
    {#if kind !== 'evening'}
      <label class="mt-2 flex min-h-11 items-center gap-2"
        ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={pairs} /> Two against two{kind ===
        'robin'
          ? ': partners are pressed one after the other'
          : ''}</label
      >
    {/if}
    <ul class="mt-2 grid grid-cols-2 gap-2">
      {#each students.data ?? [] as student (student.id)}
        {@const is = chosen.includes(student.id)}
        <li>
          <button
            class="btn w-full justify-start"
            class:btn-primary={is}
            aria-pressed={is}
            onclick={() => (chosen = is ? chosen.filter((id) => id !== student.id) : [...chosen, student.id])}
            ><span class="truncate">{student.profile.name}</span
            >{#if is && (kind === 'updown' || (kind === 'robin' && pairs))}<span
                class="ml-auto shrink-0 text-sm font-normal whitespace-nowrap"
                >{place(chosen.indexOf(student.id))}</span
              >{/if}</button
          >
        </li>
      {/each}
    </ul>
    {#if kind === 'updown'}
      <p class="mt-2 text-sm">
        Press them from the strongest on. Winners go one court up, losers one down; {pairs
          ? 'four on each court, and partners change'
          : 'two on each court'}.
      </p>
    {/if}
    {#if kind === 'robin'}
      <div class="mt-3 grid grid-cols-2 gap-3">
        <NumberField
          label="Courts"
          value={courts}
          min={1}
          onchange={(n) => (courts = Math.max(1, Math.round(n)))}
        />
        <NumberField label="Each game" unit="min" value={minutes} min={1} onchange={(n) => (minutes = n)} />
      </div>
    {/if}
    {#if wrong}<p class="text-error mt-2" role="alert">{wrong}</p>{/if}
    <div class="modal-action">
      <button class="btn btn-primary" disabled={chosen.length < 2} onclick={begin}>Begin</button>
      <form method="dialog"><button class="btn">Leave it</button></form>
    </div>
  </div>
</dialog>
