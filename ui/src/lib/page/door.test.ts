import { afterEach, expect, it, vi } from 'vitest'
import { api, type DoorState } from '../api/client'
import { Door } from './door.svelte'

const inside: DoorState = { coach: true, needs: '', network: true, passphrase: true }
const outside: DoorState = { ...inside, needs: 'passphrase' }

/** Looks are answered by hand. */
function looks() {
  const waiting: ((seen: DoorState) => void)[] = []
  vi.spyOn(api, 'GET').mockImplementation(
    () =>
      new Promise((resolve) => waiting.push((data) => resolve({ data, response: new Response() }))) as never,
  )
  return waiting
}

afterEach(() => vi.restoreAllMocks())

it('is looked at again where something was refused while a look was under way', async () => {
  const waiting = looks()
  const door = new Door()
  const first = door.look()
  void door.look()
  void door.look()
  waiting[0]?.(inside)
  await vi.waitFor(() => expect(waiting).toHaveLength(2))
  waiting[1]?.(outside)
  await first
  expect(door.state).toBe(outside)
  expect(waiting).toHaveLength(2)

  const later = door.look()
  waiting[2]?.(inside)
  await later
  expect(door.state).toBe(inside)
})

it('keeps what an act brought, however late a look of before is answered', async () => {
  const waiting = looks()
  const door = new Door()
  const look = door.look()
  await door.act(Promise.resolve(inside))
  waiting[0]?.(outside)
  await look
  expect(door.state).toBe(inside)
})
