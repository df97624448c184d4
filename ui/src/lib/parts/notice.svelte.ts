import { describe } from '../api/client'

/** Notice is a line at the foot of the page, with one thing that can be done about it. */
interface Notice {
  /** The page it was shown on. */
  on?: string
  text: string
  kind: 'done' | 'wrong'
  act?: { label: string; run: () => void | Promise<void> }
}

const shownFor = 8000

class Notices {
  current = $state<Notice | null>(null)
  #timer: ReturnType<typeof setTimeout> | undefined

  show(notice: Notice) {
    clearTimeout(this.#timer)
    this.current = { ...notice, on: location.hash }
    if (!notice.act) this.#timer = setTimeout(() => (this.current = null), shownFor)
  }

  done(text: string, act?: Notice['act']) {
    this.show({ text, kind: 'done', act })
  }

  wrong(error: unknown) {
    this.show({ text: describe(error), kind: 'wrong' })
  }

  /** left closes what belongs to another page than the one that is shown now. */
  left() {
    if (this.current && this.current.on !== location.hash) this.close()
  }

  close() {
    clearTimeout(this.#timer)
    this.current = null
  }
}

export const notices = new Notices()
