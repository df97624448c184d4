/**
 * Small things that a page keeps beside its documents. A browser that may keep nothing, or is full, has the page go on
 * without: they are there until the page is left.
 */
class Kept {
  readonly #page = new Map<string, string>()

  constructor(private readonly storage: () => Storage) {}

  get(key: string): string | null {
    return this.#page.get(key) ?? this.#quietly((storage) => storage.getItem(key)) ?? null
  }

  /** read is what was kept as JSON, or something else where nothing was, or it cannot be read. */
  read<T>(key: string, otherwise: T): T {
    try {
      return (JSON.parse(this.get(key) ?? 'null') as T | null) ?? otherwise
    } catch {
      return otherwise
    }
  }

  set(key: string, text: string) {
    this.#page.delete(key)
    if (!this.#quietly((storage) => (storage.setItem(key, text), true))) this.#page.set(key, text)
  }

  write(key: string, value: unknown) {
    this.set(key, JSON.stringify(value))
  }

  remove(key: string) {
    this.#page.delete(key)
    this.#quietly((storage) => storage.removeItem(key))
  }

  #quietly<T>(work: (storage: Storage) => T): T | undefined {
    try {
      return work(this.storage())
    } catch {
      return undefined
    }
  }
}

/** What this device keeps. */
export const onDevice = new Kept(() => localStorage)
/** What this tab keeps, also when the page is read again. */
export const inTab = new Kept(() => sessionStorage)
