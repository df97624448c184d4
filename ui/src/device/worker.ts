import wasm from './core.wasm?url'
import './wasm_exec.js'

interface Question {
  n: number
  question: string
}

declare const Go: new () => {
  importObject: WebAssembly.Imports
  run: (of: WebAssembly.Instance) => Promise<void>
}
declare global {
  var hodometerRun: (question: string) => string
}

/** Loads core; once it runs, it can be asked. */
async function load() {
  const go = new Go()
  const { instance } = await WebAssembly.instantiateStreaming(fetch(wasm), go.importObject)
  void go.run(instance)
}

let loaded: Promise<void> | undefined = load()
loaded.catch(() => (loaded = undefined))

onmessage = async ({ data: { n, question } }: MessageEvent<Question>) => {
  try {
    await (loaded ??= load())
    postMessage({ n, text: globalThis.hodometerRun(question) })
  } catch (error) {
    loaded = undefined
    postMessage({ n, error: String(error) })
  }
}
