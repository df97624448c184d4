<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { beginningIn } from '../../device/beginning'
  import Begin from '../../game/Begin.svelte'
  import { answer, api, type ScheduledBlock } from '../../lib/api/client'
  import { keys } from '../../lib/page/data'
  import type { Device, Run } from './courtside.svelte'

  /** The game of a block: to be begun on the scoreboard, and those that were. */
  interface Props {
    run: Run
    device: Device
    scheduled: ScheduledBlock
    game: NonNullable<ScheduledBlock['game']>
  }
  let { run, device, scheduled, game }: Props = $props()
  /** Games of this lesson that were begun. */
  const games = createQuery(() => ({
    queryKey: keys.played,
    queryFn: () => answer(api.GET('/api/played')),
    refetchInterval: 5000,
    select: (page) => page.played.filter((each) => each.document.lesson === run.data.lesson.id),
  }))
  /** The same, as far as this device knows of them, where the program does not answer. */
  const gamesHere = createQuery(() => ({
    queryKey: [...keys.played, 'here', run.data.lesson.id],
    queryFn: () => device.games.ofLesson(run.data.lesson.id),
    enabled: !run.delivery.reached,
    networkMode: 'always' as const,
    gcTime: 0,
  }))
  const begunGames = $derived(
    run.delivery.reached
      ? (games.data ?? []).map((each) => ({
          id: each.id,
          title: each.document.title,
          score: each.state?.points.join(' : ') ?? '',
        }))
      : (gamesHere.data ?? []).map(({ game, kit }) => ({ id: game, title: kit.document.title, score: '' })),
  )
</script>

<div class="flex flex-wrap gap-2 px-4">
  <Begin
    id={game.id}
    name={game.name}
    among={run.data.lesson.people.filter(({ id }) => scheduled.people.includes(id))}
    here={beginningIn(run.data.lesson.id, device)}
    lesson={run.data.lesson.id}
    version={scheduled.version ?? ''}
    court={run.data.lesson.document.space.court}
    label="Score it"
  />
  {#each begunGames as each (each.id)}
    <a class="btn btn-sm" href="#/games/played/{each.id}"
      >{each.title} <span class="drum-digits">{each.score}</span></a
    >
  {/each}
</div>
