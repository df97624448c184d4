import type { Play } from '../../lib/api/client'
import { at, type Moment } from '../../court/play'

/** Playback runs through a worked-out turn in real time, or at half of it. */
export class Playback {
  time = $state(0)
  playing = $state(false)
  half = $state(false)
  /** Something was played or looked at: the moment is shown. */
  shown = $state(false)
  #play: () => Play | undefined
  #last = 0

  constructor(play: () => Play | undefined) {
    this.#play = play
  }

  /** The turn ends with its last contact; its pause is not waited for. */
  get end(): number {
    const meetings = this.#play()?.timeline.meetings ?? []
    return Math.max(0.1, ...meetings.map((meeting) => meeting.contact)) + 0.5
  }

  get moment(): Moment | null {
    const play = this.#play()
    return play && this.shown ? at(play, this.time) : null
  }

  toggle() {
    if (this.playing) {
      this.playing = false
      return
    }
    if (this.time >= this.end) this.time = 0
    this.playing = this.shown = true
    this.#last = performance.now()
    requestAnimationFrame(this.#frame)
  }

  scrub(time: number) {
    this.time = Math.min(Math.max(time, 0), this.end)
    this.shown = true
  }

  /** step goes to the contact before or after this moment. */
  step(by: 1 | -1) {
    this.playing = false
    const contacts = (this.#play()?.timeline.meetings ?? []).map((meeting) => meeting.contact)
    const next =
      by > 0
        ? contacts.find((time) => time > this.time + 0.01)
        : contacts.findLast((time) => time < this.time - 0.01)
    this.scrub(next ?? (by > 0 ? this.end : 0))
  }

  stop() {
    this.playing = this.shown = false
    this.time = 0
  }

  #frame = (now: number) => {
    if (!this.playing) return
    this.time += ((now - this.#last) / 1000) * (this.half ? 0.5 : 1)
    this.#last = now
    if (this.time >= this.end) {
      this.time = this.end
      this.playing = false
      return
    }
    requestAnimationFrame(this.#frame)
  }
}
