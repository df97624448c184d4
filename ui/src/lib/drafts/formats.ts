/** Names of fields that the formats of documents before the third used, by the kind of draft. */
const oldNames: Record<string, Record<string, string>> = {
  student: { towards: 'objective', most: 'max' },
  drill: {
    play: 'format',
    way: 'method',
    most: 'maxSequences',
    towards: 'difficulty',
    change: 'kind',
    whose: 'view',
  },
  lesson: { say: 'text', least: 'min', most: 'max' },
}

/** toThirdFormat brings a document of a draft up to the third version of its format: fields have plain names. */
export function toThirdFormat<T>(kind: string, document: T): T {
  const names = oldNames[kind]
  if (!names) return document
  const renamed = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(renamed)
    if (typeof value !== 'object' || value === null) return value
    return Object.fromEntries(
      Object.entries(value).map(([name, field]) => [names[name] ?? name, renamed(field)]),
    )
  }
  const after = renamed(document) as T & { version?: number }
  return 'version' in (after as object) ? { ...after, version: 3 } : after
}
