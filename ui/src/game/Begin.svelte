<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import type { Here } from '../device/beginning'
  import { orHere } from '../device/here'
  import { answer, api, describe, isNew, type GameDocument } from '../lib/api/client'
  import { keys, renew, studentsQuery } from '../lib/page/data'
  import SelectField from '../lib/fields/SelectField.svelte'
  import { today } from '../lib/words/words'

  /** Who plays a game: pressed in the order of the start places, and the game begins. */
  interface Props {
    id: string
    name: string
    /** The game, where it is there already; else it is read when it is to be played. */
    document?: GameDocument
    /** Who comes into question; not given: all students. */
    among?: readonly { id: string; name: string }[]
    lesson?: string
    /** How it is begun from what this device has with it, where the program does not answer. */
    here?: Here
    /** Which version, where that is settled; else it is chosen. */
    version?: string
    /** The court of the lesson. */
    court?: string
    /** What the button says. */
    label?: string
  }
  let { id, name, document, among, lesson, here, version, court = '', label = 'Play' }: Props = $props()
  const client = useQueryClient()
  const students = studentsQuery(() => !among)
  let dialog = $state<HTMLDialogElement>()
  let game = $state.raw<GameDocument>()
  let chosen = $state<string[]>([])
  let wrong = $state('')
  /** Which version is played. */
  let chosenVersion = $state('')
  const rules = $derived(game?.rules)
  /** Those of the sport first. */
  const list = $derived.by(() => {
    const all =
      among?.map(({ id, name }) => ({ id, name, here: 1 })) ??
      (students.data ?? []).map(({ id, profile }) => ({
        id,
        name: profile.name,
        here: Number(profile.sport === game?.sport),
      }))
    return all.sort((a, b) => b.here - a.here || a.name.localeCompare(b.name))
  })
  const places = $derived(rules?.spots.length ?? 0)
  const enough = $derived(rules && chosen.length >= places - (rules.coach ? 1 : 0))
  /** Where whoever is n-th begins. */
  const begins = (n: number) => {
    const spot = rules?.spots[n]
    return spot ? `${n + 1}, ${spot.side} side` : 'waits'
  }

  async function show() {
    wrong = ''
    chosen = []
    chosenVersion = version ?? ''
    game = document
    dialog?.showModal()
    try {
      game ??= await orHere(
        async () => (await answer(api.GET('/api/games/{id}', { params: { path: { id } } }))).document,
        async () => here?.game(id),
      )
    } catch (error) {
      wrong = describe(error)
    }
  }

  async function begin() {
    if (!game) return
    try {
      const played = v7()
      const named = chosenVersion
      const asked = { document: game, version: named, court }
      const as: Pick<GameDocument, 'sport' | 'court' | 'rules'> | undefined =
        named || court
          ? await orHere(
              () => answer(api.POST('/api/games/version', { body: asked })),
              async () => here?.version(asked),
            )
          : game
      if (!as) return
      const body = {
        version: 1,
        game: id,
        title: (named ? `${game.name}: ${named}` : game.name).slice(0, 80),
        sport: as.sport,
        court: as.court,
        date: today(),
        players: $state.snapshot(chosen),
        rules: as.rules,
        ...(lesson ? { lesson } : {}),
      }
      await orHere(
        async () => {
          const params = { path: { id: played }, header: isNew }
          await answer(api.PUT('/api/played/{id}', { params, body }))
          return true
        },
        async () => here?.begin(played, body),
      )
      dialog?.close()
      await renew(client, keys.played)
      await push(`/games/played/${played}`)
    } catch (error) {
      wrong = describe(error)
    }
  }
</script>

<button class="btn btn-sm btn-primary" type="button" onclick={show}
  >{label}<span class="sr-only"> {name}</span></button
>
<dialog bind:this={dialog} class="modal" aria-label="Who plays {name}" onclose={() => (game = undefined)}>
  <div class="modal-box">
    {#if rules}
      <h2>Who plays?</h2>
      {#if version === undefined && game?.versions?.length}
        <div class="mt-2 max-w-xs">
          <SelectField
            label="Version"
            value={chosenVersion}
            options={[
              { value: '', label: 'as written' },
              ...game.versions.map(({ name }) => ({ value: name, label: name })),
            ]}
            onchange={(name) => (chosenVersion = name)}
          />
        </div>
      {/if}
      <p class="mt-1 text-sm" role="status">
        Press them in the order of the places: {places}
        {places === 1 ? 'plays' : 'play'}{rules.coach ? ', the coach can be one of them' : ''}{rules.rotation
          .every
          ? '; more of them wait in turn'
          : ''}. {chosen.length} so far.
      </p>
      <ul class="mt-3 grid grid-cols-2 gap-2">
        {#each list as student (student.id)}
          {@const n = chosen.indexOf(student.id)}
          <li>
            <button
              class="btn w-full justify-start"
              class:btn-primary={n >= 0}
              aria-pressed={n >= 0}
              disabled={n < 0 && chosen.length >= places && !rules?.rotation.every}
              onclick={() =>
                (chosen = n >= 0 ? chosen.filter((id) => id !== student.id) : [...chosen, student.id])}
            >
              <span class="truncate">{student.name}</span>
              {#if n >= 0}<span class="ml-auto text-sm font-normal">{begins(n)}</span>{/if}
            </button>
          </li>
        {/each}
      </ul>
      {#if list.length === 0}<p class="mt-2">Nobody here yet: add students first.</p>{/if}
      {#if wrong}<p class="text-error mt-2" role="alert">{wrong}</p>{/if}
      <div class="modal-action">
        <button class="btn btn-primary" disabled={!enough} onclick={begin}>Begin</button>
        <form method="dialog"><button class="btn">Leave it</button></form>
      </div>
    {/if}
  </div>
</dialog>
