import { onDevice } from '../../lib/page/kept'
import { buzz, ring } from './signals'
import type { Call } from './aloud'

/** What is wanted of calls on this device. */
interface Wanted {
  aloud: boolean
  /** Which voice, by its address; empty: the device's own. */
  voice: string
  /** How fast it speaks, 1 for as it is. */
  rate: number
  tones: boolean
  buzz: boolean
}

const key = 'hodometer.calls'
const usual: Wanted = { aloud: false, voice: '', rate: 1, tones: false, buzz: true }

const kept = (): Wanted => ({ ...usual, ...onDevice.read<Partial<Wanted>>(key, {}) })

/** Voice calls a lesson aloud: by the device's voice, by tones and by shaking, as it is wanted there. */
export class Voice {
  wanted = $state(kept())
  voices = $state.raw<SpeechSynthesisVoice[]>([])
  readonly #speech = typeof speechSynthesis === 'undefined' ? undefined : speechSynthesis

  constructor() {
    this.#listen()
    this.#speech?.addEventListener('voiceschanged', this.#listen)
  }

  readonly #listen = () => (this.voices = this.#speech?.getVoices() ?? [])

  /** leave says nothing more. */
  leave() {
    this.#speech?.removeEventListener('voiceschanged', this.#listen)
    this.#speech?.cancel()
  }

  /** The device has no voice: tones and a sign stand in for it. */
  get mute() {
    return this.voices.length === 0
  }

  want(part: Partial<Wanted>) {
    Object.assign(this.wanted, part)
    onDevice.write(key, $state.snapshot(this.wanted))
  }

  call(calls: readonly Call[]) {
    const first = calls[0]
    if (!first) return
    const { aloud, tones } = this.wanted
    if (this.wanted.buzz) buzz(first.sign)
    if (tones || (aloud && this.mute)) ring(first.sign)
    if (aloud && !this.mute) this.#say(calls.map(({ text }) => text).join('. '))
  }

  #say(text: string) {
    // What is not said yet is old by now.
    if (this.#speech?.pending) this.#speech.cancel()
    const words = new SpeechSynthesisUtterance(text)
    const voice = this.voices.find((each) => each.voiceURI === this.wanted.voice)
    if (voice) words.voice = voice
    words.lang = voice?.lang ?? 'en'
    words.rate = this.wanted.rate
    this.#speech?.speak(words)
  }
}
