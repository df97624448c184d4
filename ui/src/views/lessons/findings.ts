import type { Finding } from '../../lib/api/client'

/** keyed gives each finding a name that it keeps while its figures change, also where two say the same. */
export function keyed(list: readonly Finding[]): { key: string; finding: Finding }[] {
  const seen = new Map<string, number>()
  return list.map((finding) => {
    const name = `${finding.block ?? ''} ${finding.about}`
    const nth = seen.get(name) ?? 0
    seen.set(name, nth + 1)
    return { key: `${name} ${nth}`, finding }
  })
}
