import { Unreachable } from '../lib/api/client'

/** orHere is the program's answer; where none comes, what this device makes of it, if it can. */
export async function orHere<T>(program: () => Promise<T>, here: () => Promise<T | undefined>): Promise<T> {
  try {
    return await program()
  } catch (error) {
    const made = error instanceof Unreachable ? await here() : undefined
    if (made === undefined) throw error
    return made
  }
}
