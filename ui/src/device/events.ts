import { answer, api, patience, type GameEvent, type Scored } from '../lib/api/client'
import { MemoryLog, TableLog, type Log } from './log'
import { Queue, type Sent } from './queue'
import type { DeviceStore } from './store'

/** What happened in games and this device could not keep, in the memory of the page. */
const onThisPage = new MemoryLog<GameEvent>()

/** EventQueue is what happened in games and is not answered yet. A game that this device began goes with what happened in it. */
export class EventQueue extends Queue<GameEvent, Scored> {
  constructor(
    store: DeviceStore,
    device: Log<GameEvent> = new TableLog(store.events),
    memory: Log<GameEvent> = onThisPage,
  ) {
    super(device, memory, async (id, events): Promise<Sent<Scored>> => {
      const kept = await store.games.get(id).catch(() => undefined)
      const begin = kept?.begun ? kept.kit.document : undefined
      const body = { ...(begin ? { begin } : {}), events }
      const params = { path: { id } }
      const answered = await answer(api.POST('/api/played/{id}/events', { params, body, signal: patience() }))
      return { answered, refused: new Map(answered.leftOut.map((left) => [left.id, left.reason])) }
    })
  }
}
