/** callCue gives a sign that the cue has changed: a buzz, and a tone where sound is on. */
export function callCue(sound: boolean) {
  navigator.vibrate?.(200)
  if (!sound) return
  const audio = new AudioContext()
  const tone = audio.createOscillator()
  const loudness = audio.createGain()
  tone.frequency.value = 880
  loudness.gain.setValueAtTime(0.25, audio.currentTime)
  loudness.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.5)
  tone.connect(loudness).connect(audio.destination)
  tone.onended = () => void audio.close()
  tone.start()
  tone.stop(audio.currentTime + 0.5)
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
