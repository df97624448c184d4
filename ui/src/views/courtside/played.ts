import type { Courtside, Cue } from '../../lib/api/client'

type Block = Courtside['lesson']['document']['blocks'][number]

/**
 * played is a text of what is played in a block, and who is where in it: another one as soon as a ball that is thrown
 * now would meet somebody else. How long the block is changes nothing for who stands before the machine, nor when they
 * came there.
 */
export function played(block: Block, roles: Cue['roles']): string {
  const { id, drill, version, steps, size, people, lines, variants } = block
  const own = variants?.map((each) => [each.student, each.version, each.drawn])
  return JSON.stringify([id, drill, version, steps, size, people, lines, own, roles])
}
