/** Conflict is a part of a document that two people changed in different ways. */
export interface Conflict {
  path: string
  mine: unknown
  theirs: unknown
}

type Fields = Record<string, unknown>

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** What a document may leave out where there is nothing to say. */
const isNothing = (value: unknown): boolean =>
  value === undefined ||
  value === null ||
  value === 0 ||
  value === '' ||
  value === false ||
  (Array.isArray(value) && value.length === 0) ||
  (isFields(value) && Object.values(value).every(isNothing))

/** same says whether two documents mean the same: what is left out is nothing, and the order of fields is free. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b || (isNothing(a) && isNothing(b))) return true
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((each, i) => same(each, b[i]))
  if (isFields(a) && isFields(b))
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => same(a[key], b[key]))
  return false
}

/** The identifiers of a list whose parts all have one, in order. */
function identifiers(list: unknown): string[] | undefined {
  if (!Array.isArray(list) || list.length === 0) return undefined
  const ids = list.map((each) => (isFields(each) && typeof each.id === 'string' ? each.id : ''))
  return ids.every(Boolean) && new Set(ids).size === ids.length ? ids : undefined
}

/**
 * merge puts together what two people made of a document, part by part. A part that both changed in different
 * ways is a conflict; there the merged document holds what prefer says.
 */
export function merge<T>(
  base: T,
  mine: T,
  theirs: T,
  prefer: 'mine' | 'theirs' = 'mine',
): { merged: T; conflicts: Conflict[] } {
  const conflicts: Conflict[] = []
  const part = (was: unknown, own: unknown, other: unknown, path: string): unknown => {
    if (same(own, was)) return other
    if (same(other, was) || same(own, other)) return own
    const at = (key: string | number) => (path ? `${path}.${key}` : `${key}`)
    if (isFields(was) && isFields(own) && isFields(other)) {
      const keys = [...new Set([...Object.keys(other), ...Object.keys(own)])]
      return Object.fromEntries(keys.map((key) => [key, part(was[key], own[key], other[key], at(key))]))
    }
    const ids = identifiers(own)
    if (ids && [was, other].every((list) => identifiers(list)?.join() === ids.join())) {
      const lists = [was, own, other] as unknown[][]
      return ids.map((_, i) => part(lists[0]?.[i], lists[1]?.[i], lists[2]?.[i], at(i)))
    }
    conflicts.push({ path, mine: own, theirs: other })
    return prefer === 'mine' ? own : other
  }
  return { merged: part(base, mine, theirs, '') as T, conflicts }
}

/** differences lists where two documents mean something else, as finely as their parts go. */
export function differences(mine: unknown, theirs: unknown, path = ''): Conflict[] {
  if (same(mine, theirs)) return []
  const at = (key: string | number) => (path ? `${path}.${key}` : `${key}`)
  if (isFields(mine) && isFields(theirs))
    return [...new Set([...Object.keys(mine), ...Object.keys(theirs)])].flatMap((key) =>
      differences(mine[key], theirs[key], at(key)),
    )
  if (Array.isArray(mine) && Array.isArray(theirs) && mine.length === theirs.length)
    return mine.flatMap((each, i) => differences(each, theirs[i], at(i)))
  return [{ path, mine, theirs }]
}
