import { createQuery } from '@tanstack/svelte-query'
import { drafts } from './drafts.svelte'

/**
 * editedQuery reads something that is edited, anew each time it is opened: what is being edited is a draft, and
 * outlives this.
 */
export const editedQuery = <T>(key: () => readonly unknown[], read: () => Promise<T>) =>
  createQuery(() => ({
    queryKey: key(),
    queryFn: async () => {
      await drafts.ready
      return read()
    },
    gcTime: 0,
  }))
