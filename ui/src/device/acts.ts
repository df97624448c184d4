import { v7 } from 'uuid'
import { answer, api, patience, type Act, type Answered } from '../lib/api/client'
import { counted, onThisPage, type ActLog, type Tap, type Whose } from './runs'
import { Queue, type Sent } from './queue'
import { OnItsWay } from './onitsway'

/** What is done with a lesson, without its identifier and its instant. */
export type What = Omit<Act, 'id' | 'at'>

async function send(lesson: string, acts: Act[]): Promise<Sent<Answered>> {
  const body = { sent: new Date().toISOString(), acts }
  const params = { path: { id: lesson } }
  const answered = await answer(api.POST('/api/lessons/{id}/acts', { params, body, signal: patience() }))
  return {
    answered,
    refused: new Map(answered.refused.map(({ id, fields }) => [id, fields[0]?.message ?? ''])),
  }
}

/** What this page is writing down. */
const acts = new OnItsWay<Act>('acts')

/** ActQueue is what was done with lessons and is not answered yet. */
export class ActQueue extends Queue<Act, Answered, ActLog> {
  constructor(device: ActLog, memory: ActLog = onThisPage, way = acts) {
    super(device, memory, way, send)
  }

  /** Writes a count down, with the next number of its run. */
  count(lesson: string, block: string, whose: Whose, tap: Tap) {
    return this.add(lesson, counted(block, whose, tap))
  }

  /** The runs of a lesson that were begun on this device. */
  async runsOf(lesson: string) {
    await this.recovered()
    const all = [this.device, this.memory].map((log) => log.runsOf(lesson).catch(() => []))
    return (await Promise.all(all)).flat()
  }

  /** Writes something else down, and returns its identifier. */
  async put(lesson: string, what: What) {
    const act = { ...what, id: v7(), at: new Date().toISOString() }
    await this.add(lesson, act)
    return act.id
  }
}
