import { answer, api, type DoorState } from './api/client'

/** Door is whether the coach, or this device, is let in. It is looked at when the app opens, and again when something was refused. */
class Door {
  state = $state.raw<DoorState>()
  #looking: Promise<void> | undefined

  look() {
    this.#looking ??= this.#look().finally(() => (this.#looking = undefined))
    return this.#looking
  }

  /** Without an answer everything stays as it is: what is on the device goes on. */
  async #look() {
    this.state = await answer(api.GET('/api/door')).catch(() => this.state)
  }
}

export const door = new Door()

api.use({
  onResponse({ response }) {
    if (response.status === 401) void door.look()
  },
})
