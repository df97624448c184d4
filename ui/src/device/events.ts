import { answer, api, patience, Refusal, type GameEvent, type Scored } from '../lib/api/client'
import { MemoryLog, TableLog, type Log } from './log'
import { OnItsWay } from './onitsway'
import { Queue, type Sent } from './queue'
import type { DeviceStore } from './store'

/** What happened in games and this device could not keep, in the memory of the page. */
const onThisPage = new MemoryLog<GameEvent>()

/** What this page is writing down. */
const events = new OnItsWay<GameEvent>('events')

/**
 * EventQueue is what happened in games and is not answered yet. A game that this device began goes with what happened
 * in it.
 */
export class EventQueue extends Queue<GameEvent, Scored> {
  constructor(
    store: DeviceStore,
    device: Log<GameEvent> = new TableLog(store.events),
    memory: Log<GameEvent> = onThisPage,
  ) {
    super(device, memory, events, async (id, events): Promise<Sent<Scored>> => {
      let unread: unknown
      const kept = await store.games.get(id).catch((error: unknown) => void (unread = error))
      const begin = kept?.begun ? kept.kit.document : undefined
      const body = { ...(begin ? { begin } : {}), events }
      const params = { path: { id } }
      const call = answer(api.POST('/api/played/{id}/events', { params, body, signal: patience() }))
      const answered = await call.catch((error: unknown) => {
        // The program may not know of it because its beginning cannot be read here: then it waits until that can.
        throw unread && error instanceof Refusal && error.status === 404 ? unread : error
      })
      return { answered, refused: new Map(answered.leftOut.map((left) => [left.id, left.reason])) }
    })
  }
}
