import type { QueryClient } from '@tanstack/svelte-query'
import { push } from 'svelte-spa-router'
import { v7 } from 'uuid'
import { answer, api, isNew, type GameDocument } from '../../lib/api/client'
import { keys, renew } from '../../lib/page/data'
import { notices } from '../../lib/parts/notice.svelte'

/** opened opens a game that was made, or tells why none was. */
async function opened(client: QueryClient, made: Promise<{ id: string }>) {
  try {
    const { id } = await made
    await renew(client, keys.games)
    await push(`/games/${id}`)
    return true
  } catch (error) {
    notices.wrong(error)
    return false
  }
}

/** duplicate makes an own version of a game, and opens it. */
export const duplicate = (client: QueryClient, id: string) =>
  opened(
    client,
    answer(api.POST('/api/games/{id}/duplicate', { params: { path: { id } }, body: { id: v7() } })),
  )

/** keep stores a new game, and opens it. */
export const keep = (client: QueryClient, body: GameDocument) =>
  opened(client, answer(api.PUT('/api/games/{id}', { params: { path: { id: v7() }, header: isNew }, body })))
