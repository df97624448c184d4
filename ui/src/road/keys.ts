/** RoadAct is what a key does to the block of the road that has the focus. */
export type RoadAct =
  { kind: 'choose' | 'pin' | 'remove' } | { kind: 'move'; by: -1 | 1 } | { kind: 'resize'; by: number }

/** actOf reads a key: left and right move a block, up and down make it longer and shorter. */
export function actOf(key: string, shift: boolean): RoadAct | undefined {
  const minutes = shift ? 2 : 0.5
  switch (key) {
    case 'Enter':
    case ' ':
      return { kind: 'choose' }
    case 'ArrowLeft':
      return { kind: 'move', by: -1 }
    case 'ArrowRight':
      return { kind: 'move', by: 1 }
    case 'ArrowUp':
      return { kind: 'resize', by: minutes }
    case 'ArrowDown':
      return { kind: 'resize', by: -minutes }
    case 'p':
    case 'P':
      return { kind: 'pin' }
    case 'Delete':
      return { kind: 'remove' }
  }
  return undefined
}

/** dropAt is the place in the order at which a block is let go, from the middles of the others. */
export function dropAt(
  second: number,
  blocks: { block: string; start: number; end: number }[],
  block: string,
) {
  return blocks.filter((s) => s.block !== block && (s.start + s.end) / 2 < second).length
}
