/** Names of fields that the formats of documents before the third used, by the kind of draft. */
const oldNames: Record<string, Record<string, string>> = {
  student: { towards: 'objective', most: 'max' },
  drill: {
    play: 'format',
    way: 'method',
    most: 'maxSequences',
    towards: 'difficulty',
    change: 'kind',
    whose: 'view',
  },
  lesson: { say: 'text', least: 'min', most: 'max' },
}

/** toThirdFormat brings a document of a draft up to the third version of its format: fields have plain names. */
export function toThirdFormat<T>(kind: string, document: T): T {
  const names = oldNames[kind]
  if (!names) return document
  const renamed = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(renamed)
    if (typeof value !== 'object' || value === null) return value
    return Object.fromEntries(
      Object.entries(value).map(([name, field]) => [names[name] ?? name, renamed(field)]),
    )
  }
  const after = renamed(document) as T & { version?: number }
  return 'version' in (after as object) ? { ...after, version: 3 } : after
}

type Fields = Record<string, unknown>

/** The goals of the third version that are not counted in balls. */
const units: Record<string, string> = {
  'first to': 'point',
  'rallies of a length': 'rally',
  'sets in rallies': 'rally',
  'within a time': 'time',
}

/**
 * toFourthFormat brings a document of a draft up to the fourth version of its format: what is counted in a drill are
 * measures, and a student's other goals belong to one of them.
 */
export function toFourthFormat<T>(kind: string, document: T): T {
  const before = document as Fields
  if (before.version !== 3) return document
  if (kind === 'drill') {
    const { goal, target, counts, ...rest } = before
    const what = units[(goal as { kind?: string } | undefined)?.kind ?? ''] ?? 'ball'
    const measure = { number: 1, what, goals: [goal], target, ...(counts ? { counts } : {}) }
    return { ...rest, version: 4, measures: [measure] } as T
  }
  if (kind !== 'lesson') return document
  const blocks = (before.blocks as Fields[]).map((block) => ({
    ...block,
    ...(block.variants
      ? {
          variants: (block.variants as Fields[]).map(({ goal, ...variant }) =>
            goal ? { ...variant, goals: [{ measure: 1, goals: [goal] }] } : variant,
          ),
        }
      : {}),
  }))
  return { ...before, version: 4, blocks } as T
}

/** toSentences has the reasons of a draft stand as sentences do: the words that were typed or told are kept. */
export function toSentences<T>(kind: string, document: T): T {
  if (kind !== 'lesson') return document
  const { blocks, ...rest } = document as Fields & { blocks?: Fields[] }
  const told = (variant: Fields) =>
    typeof variant.why === 'string' ? { ...variant, why: { words: variant.why } } : variant
  return {
    ...rest,
    blocks: blocks?.map((block) =>
      block.variants ? { ...block, variants: (block.variants as Fields[]).map(told) } : block,
    ),
  } as T
}
