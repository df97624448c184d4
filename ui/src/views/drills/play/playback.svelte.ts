import type { Simulation } from '../../../lib/api/client'
import { at, type Moment } from '../../../court/simulation'

/** Playback runs through a worked-out turn in real time, or at half of it. */
export class Playback {
  time = $state(0)
  playing = $state(false)
  half = $state(false)
  /** Something was played or looked at: the moment is shown. */
  shown = $state(false)
  #simulation: () => Simulation | undefined
  #last = 0

  constructor(simulation: () => Simulation | undefined) {
    this.#simulation = simulation
  }

  /** The turn ends with its last contact; its pause is not waited for. */
  get end(): number {
    const interceptions = this.#simulation()?.timeline.interceptions ?? []
    return Math.max(0.1, ...interceptions.map((interception) => interception.contact)) + 0.5
  }

  get moment(): Moment | null {
    const simulation = this.#simulation()
    return simulation && this.shown ? at(simulation, this.time) : null
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
    const contacts = (this.#simulation()?.timeline.interceptions ?? []).map(
      (interception) => interception.contact,
    )
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
