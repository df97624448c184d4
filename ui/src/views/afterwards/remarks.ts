import type { Afterwards } from '../../lib/api/client'
import { drafts } from '../../lib/drafts/drafts.svelte'

type Result = Afterwards['students'][number]

/** remarkDraft is the draft of what is remarked on a student in a lesson: one for as long as the page is open. */
export const remarkDraft = (lesson: string, { student, engagement, effort, remark }: Result) =>
  drafts.open('remark', `${lesson}/${student}`, {
    document: { engagement, effort: effort ?? undefined, remark },
    revision: 0,
  })
