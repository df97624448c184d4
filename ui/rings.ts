import type { Plugin } from 'vite'

/**
 * Files that import one another in a ring: whoever is asked for first may find the other one not ready, and no page
 * starts. Undefined where there is none.
 */
export function ring(imports: Map<string, readonly string[]>): string[] | undefined {
  const done = new Set<string>()
  const walk = (file: string, way: string[]): string[] | undefined => {
    const at = way.indexOf(file)
    if (at >= 0) return [...way.slice(at), file]
    if (done.has(file)) return undefined
    for (const next of imports.get(file) ?? []) {
      const found = walk(next, [...way, file])
      if (found) return found
    }
    done.add(file)
    return undefined
  }
  for (const file of imports.keys()) {
    const found = walk(file, [])
    if (found) return found
  }
  return undefined
}

/** Refuses a build whose files import one another in a ring. */
export const noRings = (): Plugin => ({
  name: 'no rings',
  generateBundle(_, bundle) {
    const imports = new Map<string, readonly string[]>()
    for (const [name, file] of Object.entries(bundle))
      if (file.type === 'chunk') imports.set(name, file.imports)
    const found = ring(imports)
    if (found) this.error(`these files import one another in a ring: ${found.join(' → ')}`)
  },
})
