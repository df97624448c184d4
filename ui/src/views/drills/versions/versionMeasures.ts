import type { DrillDocument } from '../../../lib/api/client'
import type { Draft } from '../../../lib/drafts/draft.svelte'

/** What the parts that edit measures need of a draft. */
export type MeasuredDraft = Pick<Draft<DrillDocument>, 'document' | 'change'>

/** ofVersion is a drill with the measures that one of its versions has of its own in the place of the drill's. */
export function ofVersion(draft: MeasuredDraft, version: number): MeasuredDraft {
  return {
    get document() {
      const d = draft.document
      return { ...d, measures: d.variations?.[version]?.measures ?? d.measures }
    },
    change(alter) {
      draft.change((d) => {
        const own = d.variations?.[version]
        if (!own?.measures) return
        const seen = { ...d, measures: own.measures }
        alter(seen)
        own.measures = seen.measures
        // Who shares the court, and how measures follow one another, is the same in all versions.
        Object.assign(d, { format: seen.format, order: seen.order })
      })
    },
  }
}

/** under are the errors beneath a path, told as if it were the document itself. */
export const under = (errors: Record<string, string>, path: string) =>
  Object.fromEntries(
    Object.entries(errors).flatMap(([at, message]) =>
      at.startsWith(`${path}.`) ? [[at.slice(path.length + 1), message]] : [],
    ),
  )
