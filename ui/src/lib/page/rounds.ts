/**
 * inRounds has work done whenever it is asked for, one round at a time. What asks during a round may have come too late
 * for it: another round follows, and what it returns ends with that.
 */
export function inRounds(work: () => Promise<void>): () => Promise<void> {
  let again = false
  let round: Promise<void> | undefined
  const rounds = async () => {
    try {
      while (again) {
        again = false
        await work()
      }
    } finally {
      round = undefined // at once: what comes after the last look begins a round of its own
    }
  }
  return () => {
    again = true
    return (round ??= rounds())
  }
}
