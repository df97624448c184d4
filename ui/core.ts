import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Plugin } from 'vite'

/**
 * packedCore puts core, as it was compressed when it was built, beside core: compressing it takes longer than
 * building the page.
 */
export function packedCore(): Plugin {
  return {
    name: 'packed-core',
    apply: 'build',
    generateBundle(_, bundle) {
      for (const fileName of Object.keys(bundle)) {
        if (!fileName.endsWith('.wasm')) continue
        const source = readFileSync(join(import.meta.dirname, 'src/device/core.wasm.br'))
        this.emitFile({ type: 'asset', fileName: `${fileName}.br`, source })
      }
    },
  }
}
