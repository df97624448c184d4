import { createQuery } from '@tanstack/svelte-query'
import { answer, api } from '../../lib/api/client'
import { keys } from '../../lib/data'

/** readyQuery asks for the blocks that stand ready for so many students: drills, and what else a lesson has. */
export function readyQuery(students: () => number) {
  return createQuery(() => {
    const people = Math.min(12, Math.max(1, students()))
    return {
      queryKey: keys.blocks(people),
      queryFn: () => answer(api.GET('/api/lessons/blocks', { params: { query: { people } } })),
    }
  })
}
