/** What the parts of a path are called where the name in the document is not the word for it. */
const called: Record<string, string> = {
  minutes: 'length',
  onDeck: 'those who wait',
  people: 'who is in it',
  calls: 'call',
  blocks: 'block',
  tasks: 'task',
  repeats: 'group',
  branches: 'branch',
  places: 'place',
  variants: 'player',
  students: 'who comes',
  noGo: 'no-go',
  measures: 'measure',
  goals: 'goal',
  setUp: 'set-up',
  pickUp: 'picking up',
  changeOver: 'walking from block to block',
}

/** A path in a document in words: "blocks.3.rotation.spots" is "Block 4, rotation, spots". */
export function inWords(path: string): string {
  const words: string[] = []
  for (const part of path.split('.').filter(Boolean)) {
    const last = words.length - 1
    if (/^\d+$/.test(part) && last >= 0) words[last] += ` ${Number(part) + 1}`
    else words.push(called[part] ?? part.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`))
  }
  const text = words.join(', ')
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** beneath are the errors below a path, as if they were below another one. */
export const beneath = (errors: Record<string, string>, path: string, as: string): Record<string, string> =>
  Object.fromEntries(
    Object.entries(errors)
      .filter(([at]) => at === path || at.startsWith(`${path}.`))
      .map(([at, text]) => [as + at.slice(path.length), text]),
  )

/** A value of a document in a few words, to be told apart from another. */
export function shortly(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing'
  if (typeof value === 'string') return `“${value.length > 60 ? `${value.slice(0, 59)}…` : value}”`
  if (typeof value === 'number') return String(value)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value)) {
    const names = value.map((each: unknown) => nameOf(each)).filter(Boolean)
    return names.length === value.length && value.length <= 8
      ? names.join(', ') || 'nothing'
      : `${value.length} parts`
  }
  return nameOf(value) || 'changed'
}

function nameOf(value: unknown): string {
  if (typeof value === 'string' || typeof value === 'number') return String(value)
  const { title, name, kind } = (value ?? {}) as { title?: string; name?: string; kind?: string }
  return title ?? name ?? kind ?? ''
}
