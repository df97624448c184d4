import Dexie, { type Table, type Transaction } from 'dexie'
import { v7 } from 'uuid'
import { inTab } from '../page/kept'
import { toFourthFormat, toSentences, toThirdFormat } from './formats'

/** Stored is a draft as it is written down on this device until the server has answered. */
export interface Stored {
  /** Of the tab, the kind and the document. */
  key: string
  tab: string
  kind: string
  id: string
  /** What the server had, and its revision, when the first of these changes was made. */
  base: object
  revision: number
  document: object
  /** What was sent and not answered, the latest last. */
  sent: object[]
  changed: number
}

class Device extends Dexie {
  drafts!: Table<Stored, string>

  constructor() {
    super('hodometer-drafts')
    this.version(1).stores({ drafts: 'key' })
    this.version(2).upgrade((all) =>
      all
        .table('drafts')
        .toCollection()
        .modify((draft: { version?: number; revision?: number }) => {
          draft.revision = draft.version
          delete draft.version
        }),
    )
    this.version(3).upgrade((all) => rewrite(all, toThirdFormat))
    this.version(4).upgrade((all) => rewrite(all, toFourthFormat))
    this.version(5).upgrade((all) => rewrite(all, toSentences))
  }
}

/** rewrite brings all drafts up to a later format of their documents. */
const rewrite = (all: Transaction, change: <T>(kind: string, document: T) => T) =>
  all
    .table<Stored, string>('drafts')
    .toCollection()
    .modify((draft) => {
      draft.base = change(draft.kind, draft.base)
      draft.document = change(draft.kind, draft.document)
      draft.sent = draft.sent.map((each) => change(draft.kind, each))
    })

/** Storage is where drafts are written down. */
export interface Storage {
  put: (draft: Omit<Stored, 'key' | 'tab' | 'changed'>) => Promise<void>
  drop: (kind: string, id: string) => Promise<void>
  /** The drafts of this tab from before a reload. */
  mine: () => Promise<Stored[]>
  /** Takes over the drafts of tabs that are there no more, but for documents that this tab has a draft of itself. */
  takeOver: () => Promise<Stored[]>
}

const lock = (tab: string) => `hodometer-tab-${tab}`
const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds))

/** hold takes the name of a tab for as long as the page is there; false where another page has it. */
const hold = (tab: string) =>
  new Promise<boolean>((resolve) => {
    navigator.locks
      .request(lock(tab), { ifAvailable: true }, (held) => {
        resolve(held !== null)
        return held ? new Promise<void>(() => undefined) : undefined
      })
      .catch(() => resolve(true))
  })

/** claim finds the name of this tab: the one it had before a reload, unless a copy of the tab has it now. */
async function claim(): Promise<string> {
  const key = 'hodometer.tab'
  let tab = inTab.get(key)
  // A page that is being left lets go of its name a moment later.
  for (let tries = 0; tab && 'locks' in navigator && tries < 20; tries++) {
    if (await hold(tab)) return tab
    await pause(50)
    if (tries === 19) tab = null
  }
  if (tab) return tab
  const fresh = v7()
  inTab.set(key, fresh)
  if ('locks' in navigator) await hold(fresh)
  return fresh
}

async function alive(): Promise<Set<string>> {
  if (!('locks' in navigator)) return new Set()
  const { held } = await navigator.locks.query()
  return new Set(held?.map((each) => each.name ?? ''))
}

/** deviceStorage writes drafts into the browser's database, apart for each tab so that tabs do not overwrite. */
export function deviceStorage(): Storage {
  const device = new Device()
  const tab = claim()
  const keyOf = async (kind: string, id: string) => `${await tab}/${kind}/${id}`
  return {
    async put(draft) {
      await device.drafts.put({
        ...draft,
        tab: await tab,
        key: await keyOf(draft.kind, draft.id),
        changed: Date.now(),
      })
    },
    async drop(kind, id) {
      await device.drafts.delete(await keyOf(kind, id))
    },
    async mine() {
      const mine = await tab
      return device.drafts.filter((each) => each.tab === mine).toArray()
    },
    async takeOver() {
      const [mine, all] = [await tab, await device.drafts.toArray()]
      const others = await alive()
      const dead = all.filter((each) => each.tab !== mine && !others.has(lock(each.tab)))
      const taken: Stored[] = []
      if (dead.length === 0) return taken
      await device.transaction('rw', device.drafts, async () => {
        for (const each of dead) {
          const key = `${mine}/${each.kind}/${each.id}`
          if (await device.drafts.get(key)) continue // that one goes first; the other waits until it is saved
          if (!(await device.drafts.get(each.key))) continue // another tab was quicker
          await device.drafts.delete(each.key)
          await device.drafts.put({ ...each, tab: mine, key })
          taken.push({ ...each, tab: mine, key })
        }
      })
      return taken
    },
  }
}
