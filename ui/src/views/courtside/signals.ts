import type { Call } from './aloud'

/** Note is a tone of a sign: how high, in hertz, when after the sign begins and how long it rings, in seconds. */
type Note = readonly [hertz: number, after: number, rings: number]

/** The signs of our own: a tone for a call, two for a swap, a gong where a block ends, three that rise for a goal. */
const signs: Record<Call['sign'], readonly Note[]> = {
  call: [[880, 0, 0.5]],
  swap: [
    [660, 0, 0.3],
    [880, 0.25, 0.5],
  ],
  // A gong is several tones that are no multiples of each other and die away one after the other.
  end: [
    [196, 0, 2.6],
    [311, 0, 2],
    [474, 0.01, 1.4],
    [713, 0.02, 0.8],
  ],
  goal: [
    [660, 0, 0.25],
    [830, 0.18, 0.25],
    [990, 0.36, 0.6],
  ],
}

let audio: AudioContext | undefined

/** ring plays the tones of a sign. */
export function ring(sign: Call['sign']) {
  audio ??= new AudioContext()
  void audio.resume()
  const now = audio.currentTime
  for (const [hertz, after, rings] of signs[sign]) {
    const tone = audio.createOscillator()
    const loudness = audio.createGain()
    tone.frequency.value = hertz
    loudness.gain.setValueAtTime(0.25 / Math.sqrt(signs[sign].length), now + after)
    loudness.gain.exponentialRampToValueAtTime(0.001, now + after + rings)
    tone.connect(loudness).connect(audio.destination)
    tone.start(now + after)
    tone.stop(now + after + rings)
  }
}

/** buzz shakes the phone: once for a call, twice for a swap, long where a block ends, three times for a goal. */
export function buzz(sign: Call['sign']) {
  const patterns = { call: [200], swap: [150, 80, 150], end: [600], goal: [100, 60, 100, 60, 200] }
  navigator.vibrate?.(patterns[sign])
}

/** keepAwake keeps the screen on while the page is looked at, and returns how to let go. */
export function keepAwake(): () => void {
  let lock: WakeLockSentinel | undefined
  const ask = () => {
    if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
    navigator.wakeLock.request('screen').then(
      (held) => (lock = held),
      () => undefined, // a phone that saves its battery may say no
    )
  }
  ask()
  document.addEventListener('visibilitychange', ask)
  return () => {
    document.removeEventListener('visibilitychange', ask)
    void lock?.release()
  }
}
