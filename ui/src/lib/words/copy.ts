import { notices } from '../parts/notice.svelte'

/** copy puts a text where it can be pasted from, and says so; what it is called, in words: the line. */
export async function copy(text: string, called: string) {
  try {
    await navigator.clipboard.writeText(text)
    notices.done(`${called.charAt(0).toUpperCase()}${called.slice(1)} is copied.`)
  } catch {
    notices.done(`Select ${called} and copy it.`)
  }
}
