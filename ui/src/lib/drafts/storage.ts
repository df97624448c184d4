import type { Storage } from './device'

/**
 * laterStorage writes drafts down on this device as soon as what does it is there: the first page does not wait for it.
 */
export function laterStorage(): Storage {
  const loaded = import('./device').then((device) => device.deviceStorage())
  loaded.catch(() => undefined) // whoever asks is told
  return {
    put: async (draft) => (await loaded).put(draft),
    drop: async (kind, id) => (await loaded).drop(kind, id),
    mine: async () => (await loaded).mine(),
    takeOver: async () => (await loaded).takeOver(),
  }
}
