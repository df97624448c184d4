<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, type Game } from '../../lib/api/client'
  import { keys, renew } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import Begin from '../../game/Begin.svelte'
  import GameCourt from '../../game/GameCourt.svelte'

  import { duplicate } from './keep'

  interface Props {
    game: Game
  }
  let { game }: Props = $props()
  const client = useQueryClient()
  const d = $derived(game.document)
  const path = $derived({ id: game.id })
  const length = $derived(game.length)

  async function archive(archived: boolean) {
    try {
      await answer(api.PUT('/api/games/{id}/archived', { params: { path }, body: { archived } }))
      await renew(client, keys.games)
      notices.done(
        archived ? `${d.name} is archived.` : `${d.name} is back.`,
        archived ? { label: 'Undo', run: () => archive(false) } : undefined,
      )
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<article class="sheet card-of" aria-label={d.name}>
  <div class="court">
    {#if game.onCourt}<GameCourt on={game.onCourt} label="{d.name}: start places" />{/if}
  </div>
  <div class="min-w-0">
    <h2 class="text-lg"><a class="link link-hover" href="#/games/{game.id}">{d.name}</a></h2>
    <p class="hint text-sm">
      {d.sport}{game.builtIn ? '' : ', your own'}{length
        ? `; about ${length.rallies.toFixed(0)} rallies, ${length.minutes.low80.toFixed(0)} to ${length.minutes.high80.toFixed(0)} min${game.between === 'between equals' ? '' : `, ${game.between}`}`
        : ''}
    </p>
    <p class="mt-1">{d.summary || game.sentences.at(-1)}</p>
    <div class="mt-2 flex flex-wrap gap-2">
      <Begin id={game.id} name={d.name} document={d} />
      <button class="btn btn-sm" onclick={() => duplicate(client, game.id)}
        >Duplicate<span class="sr-only"> {d.name}</span></button
      >
      {#if !game.builtIn}<button class="btn btn-sm" onclick={() => archive(true)}
          >Archive<span class="sr-only"> {d.name}</span></button
        >{/if}
    </div>
  </div>
</article>

<style>
  .card-of {
    display: grid;
    grid-template-columns: 6rem minmax(0, 1fr);
    gap: 0.9rem;
    height: 100%;
    align-items: start;
  }
  .court :global(svg) {
    width: 100%;
    min-width: 0;
    max-height: 13rem;
  }
</style>
