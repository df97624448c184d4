import { takeAlong } from './along'
import { Outbox } from './outbox'
import { DeviceStore } from './store'

const sendEvery = 3000
/** How long after the app was opened the next lessons are packed, in milliseconds. */
const packAfter = 3000

/** Who is told what this device carries to the program. */
export interface Told {
  /** Whether the view that is open sends what was done itself. */
  sends: () => boolean
  /** How many things wait. */
  waits: (size: number) => void
  /** Some of what waited was answered. */
  answered: () => void
}

/**
 * carry sends what was done on this device and waits, whatever view is open, as soon as there is an answer, and packs the next lessons. It
 * returns what ends that.
 */
export function carry(told: Told): () => void {
  const store = new DeviceStore()
  const outbox = new Outbox(store)
  let busy = false
  const send = async () => {
    if (busy) return
    busy = true
    try {
      const before = told.sends() ? 0 : await outbox.size()
      if (before) await outbox.deliver().catch(() => undefined)
      const after = before ? await outbox.size() : 0
      told.waits(after)
      if (after < before) told.answered()
    } finally {
      busy = false
    }
  }
  const sendNow = () => void send()
  const sending = setInterval(sendNow, sendEvery)
  const packing = setTimeout(() => void takeAlong(store).catch(() => undefined), packAfter) // those that are packed already stay
  addEventListener('online', sendNow)
  sendNow()
  return () => {
    clearInterval(sending)
    clearTimeout(packing)
    removeEventListener('online', sendNow)
    store.close()
  }
}
