import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import type { Plugin } from 'vite'

/** Packages whose work is in the styles, which no module of the page imports. */
const styles = ['tailwindcss', 'daisyui']

/** folderOf is the folder of the package that a module comes from; undefined for a module of our own. */
function folderOf(module: string): string | undefined {
  const path = module.replaceAll('\0', '').split('?')[0] ?? ''
  if (!path.includes('/node_modules/')) return undefined
  let folder = dirname(path)
  while (!isPackage(folder) && folder !== dirname(folder)) folder = dirname(folder)
  return folder
}

/** A folder inside a package may have a package.json without a name of its own. */
function isPackage(folder: string): boolean {
  const file = join(folder, 'package.json')
  return existsSync(file) && 'version' in (JSON.parse(readFileSync(file, 'utf8')) as object)
}

function notice(folder: string): string {
  const about = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8')) as Record<string, unknown>
  const file = readdirSync(folder).find((name) => /^licen[cs]e/i.test(name))
  const text = file ? readFileSync(join(folder, file), 'utf8').trim() : `License: ${String(about.license)}`
  return `${String(about.name)} ${String(about.version)}\n\n${text}\n`
}

/** notices writes third-party.txt beside the page: the licence of every package that ships with it, fonts included. */
export function notices(): Plugin {
  return {
    name: 'third-party-notices',
    apply: 'build',
    generateBundle() {
      const folders = new Set(styles.map((name) => join(import.meta.dirname, '../node_modules', name)))
      for (const module of this.getModuleIds()) {
        const folder = folderOf(module)
        if (folder) folders.add(folder)
      }
      const texts = [...new Set([...folders].map(notice))].sort()
      const source = texts.map((text) => `${'-'.repeat(72)}\n\n${text}`).join('\n')
      this.emitFile({ type: 'asset', fileName: 'third-party.txt', source })
    },
  }
}
