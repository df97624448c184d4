import type { RotationForm } from '../../lib/api/client'

type Spot = RotationForm['spots'][number]

/** textOf writes spots in one line: "net: left; net: right; feeds*". */
export const textOf = (spots: Spot[]) =>
  spots.map((s) => `${s.side ? `${s.side}: ` : ''}${s.name}${s.feeds ? '*' : ''}`).join('; ')

/** spotsOf reads such a line; a comma parts spots too where there is no semicolon. */
export function spotsOf(text: string): Spot[] {
  return text
    .split(text.includes(';') ? ';' : ',')
    .map((part) => part.trim())
    .filter(Boolean)
    .map((part) => {
      const feeds = part.endsWith('*')
      const bare = (feeds ? part.slice(0, -1) : part).trim()
      const colon = bare.indexOf(':')
      return {
        name: colon < 0 ? bare : bare.slice(colon + 1).trim(),
        ...(colon > 0 && { side: bare.slice(0, colon).trim() }),
        ...(feeds && { feeds }),
      }
    })
}
