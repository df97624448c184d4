import type { QueryClient } from '@tanstack/svelte-query'
import { answer, api } from '../../../lib/api/client'
import { keys, renew } from '../../../lib/page/data'
import { notices } from '../../../lib/parts/notice.svelte'

/** takeBack takes back what came in together, and says who stays. */
export async function takeBack(client: QueryClient, id: string) {
  try {
    const { stayed } = await answer(api.DELETE('/api/arrivals/{id}', { params: { path: { id } } }))
    await renew(client, keys.students, keys.arrivals)
    notices.done(
      stayed.length
        ? `Taken back, but for ${stayed.join(', ')}: changed since, in a lesson or a game, or with attendance that came in by itself.`
        : 'Taken back.',
    )
  } catch (error) {
    notices.wrong(error)
  }
}
