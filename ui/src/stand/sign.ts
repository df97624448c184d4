import type { Drawing } from '../court/view'
import type { Point } from '../lib/api/client'

/** sign is a sign on a court that stands for no mark of a document. */
export const sign = (handle: string, label: string, at: Point, description: string) =>
  ({ handle, label, at, description, size: 0, around: '', mark: {} }) as unknown as Drawing['spots'][number]
