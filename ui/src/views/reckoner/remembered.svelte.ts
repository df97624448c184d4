import { onDevice } from '../../lib/page/kept'

/** remembered is a state that outlives the page: the last inputs of a tab of the reckoner, on this device. */
export function remembered<T extends object>(name: string, first: T): T {
  const key = `hodometer.reckoner.${name}`
  const stored = onDevice.read<Partial<T>>(key, {})
  const known = Object.fromEntries(
    Object.entries(stored).filter(
      ([field, value]) => field in first && typeof value === typeof first[field as keyof T],
    ),
  )
  const state = $state<T>({ ...first, ...known })
  $effect(() => onDevice.write(key, $state.snapshot(state)))
  return state
}
