import type { Variation } from '../../../lib/api/client'

/**
 * moveVersion moves a version one rung: -1 is easier, 1 harder. Beside the drill as it is written it goes to the other
 * side of it. Undefined where there is no rung further on.
 */
export function moveVersion(list: readonly Variation[], index: number, by: -1 | 1): Variation[] | undefined {
  const moved = list[index]
  if (!moved) return undefined
  const side = (difficulty: Variation['difficulty']) => list.filter((each) => each.difficulty === difficulty)
  const own = side(moved.difficulty)
  const at = own.indexOf(moved)
  const next = own[at + by]
  if (next) {
    const after = [...list]
    const other = list.indexOf(next)
    ;[after[index], after[other]] = [next, moved]
    return after
  }
  // The hardest of the easier ones becomes the easiest of the harder ones, and the other way round.
  const over = moved.difficulty === 'easier' ? by === 1 : by === -1
  if (!over) return undefined
  const rest = list.filter((each) => each !== moved)
  return by === 1
    ? [
        ...rest.filter((each) => each.difficulty === 'easier'),
        { ...moved, difficulty: 'harder' },
        ...side('harder'),
      ]
    : [
        ...side('easier'),
        { ...moved, difficulty: 'easier' },
        ...rest.filter((each) => each.difficulty === 'harder'),
      ]
}
