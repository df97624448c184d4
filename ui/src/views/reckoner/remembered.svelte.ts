/** remembered is a state that outlives the page: the last inputs of a tab of the reckoner, on this device. */
export function remembered<T extends object>(name: string, first: T): T {
  const key = `hodometer.reckoner.${name}`
  let stored: Partial<T> = {}
  try {
    stored = JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<T>
  } catch {
    // What cannot be read is as if there were nothing.
  }
  const known = Object.fromEntries(
    Object.entries(stored).filter(
      ([field, value]) => field in first && typeof value === typeof first[field as keyof T],
    ),
  )
  const state = $state<T>({ ...first, ...known })
  $effect(() => {
    try {
      localStorage.setItem(key, JSON.stringify($state.snapshot(state)))
    } catch {
      // A device that keeps nothing begins anew each time.
    }
  })
  return state
}
