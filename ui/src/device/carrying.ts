import { inRounds } from '../lib/page/rounds'
import { takeAlong } from './along'
import { Outbox } from './outbox'
import { DeviceStore } from './store'

const sendEvery = 3000
/** How long after the app was opened the next lessons are packed, and how often again, in milliseconds. */
const packAfter = 3000
const packEvery = 3_600_000

/** Who is told what this device carries to the program. */
export interface Told {
  /** Of which lesson or game the view that is open sends itself what was done; empty for none. */
  sends: () => string
  /** How many things wait. */
  waits: (size: number) => void
  /** Some of what waited was answered. */
  answered: () => void
}

/**
 * carry sends what was done on this device and waits, whatever view is open, as soon as there is an answer, and packs
 * the next lessons. It returns what ends that.
 */
export function carry(told: Told): () => void {
  const store = new DeviceStore()
  const outbox = new Outbox(store)
  const send = inRounds(async () => {
    const but = told.sends()
    const before = await outbox.size(but)
    if (before) await outbox.deliver(but).catch(() => undefined)
    const after = before ? await outbox.size(but) : 0
    told.waits(after)
    if (after < before) told.answered()
  })
  const sendNow = () => void send()
  const sending = setInterval(sendNow, sendEvery)
  const pack = () => void takeAlong(store).catch(() => undefined) // those that are packed already stay
  const packing = setTimeout(pack, packAfter)
  const packingAgain = setInterval(pack, packEvery)
  addEventListener('online', sendNow)
  sendNow()
  return () => {
    clearInterval(sending)
    clearTimeout(packing)
    clearInterval(packingAgain)
    removeEventListener('online', sendNow)
    store.close()
  }
}
