// Asks core, as it runs on a device, the questions of a file, one a line, and writes its answers into another.
import { readFileSync, writeFileSync } from 'node:fs'
import { pathToFileURL } from 'node:url'

const [, , loader, wasm, questions, answers] = process.argv
await import(pathToFileURL(loader).href)
const go = new globalThis.Go()
const { instance } = await WebAssembly.instantiate(readFileSync(wasm), go.importObject)
void go.run(instance)
const lines = readFileSync(questions, 'utf8').trimEnd().split('\n')
writeFileSync(answers, lines.map((line) => globalThis.hodometerRun(line)).join('\n'))
process.exit(0)
