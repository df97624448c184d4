<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import { answer, api, describe, isNew, type Game } from '../../lib/api/client'
  import { keys, renew, studentsQuery } from '../../lib/data'
  import { today } from '../../lib/words'

  /** Who plays a game: pressed in the order of the start places, and the game begins. */
  interface Props {
    game: Game
    primary?: boolean
  }
  let { game, primary = true }: Props = $props()
  const client = useQueryClient()
  const students = studentsQuery()
  let dialog = $state<HTMLDialogElement>()
  let open = $state(false)
  let chosen = $state<string[]>([])
  let wrong = $state('')
  const rules = $derived(game.document.rules)
  const list = $derived(
    [...(students.data ?? [])].sort(
      (a, b) =>
        Number(b.profile.sport === game.document.sport) - Number(a.profile.sport === game.document.sport) ||
        a.profile.name.localeCompare(b.profile.name),
    ),
  )
  const places = $derived(rules.spots.length)
  const enough = $derived(chosen.length >= places - (rules.coach ? 1 : 0))
  /** Where whoever is n-th begins. */
  const begins = (n: number) => {
    const spot = rules.spots[n]
    return spot ? `${n + 1}, ${spot.side} side` : 'waits'
  }

  function show() {
    wrong = ''
    chosen = []
    open = true
    dialog?.showModal()
  }

  async function begin() {
    try {
      const id = v7()
      await answer(
        api.PUT('/api/played/{id}', {
          params: { path: { id }, header: isNew },
          body: {
            version: 1,
            game: game.id,
            title: game.document.name,
            sport: game.document.sport,
            court: game.document.court,
            date: today(),
            players: $state.snapshot(chosen),
            rules,
          },
        }),
      )
      dialog?.close()
      await renew(client, keys.played)
      await push(`/games/played/${id}`)
    } catch (error) {
      wrong = describe(error)
    }
  }
</script>

<button class="btn btn-sm" class:btn-primary={primary} type="button" onclick={show}
  >Play<span class="sr-only"> {game.document.name}</span></button
>
<dialog
  bind:this={dialog}
  class="modal"
  aria-label="Who plays {game.document.name}"
  onclose={() => (open = false)}
>
  <div class="modal-box">
    {#if open}
      <h2>Who plays?</h2>
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
              disabled={n < 0 && chosen.length >= places && !rules.rotation.every}
              onclick={() =>
                (chosen = n >= 0 ? chosen.filter((id) => id !== student.id) : [...chosen, student.id])}
            >
              <span class="truncate">{student.profile.name}</span>
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
