<script lang="ts">
  import type { Student } from '../../lib/api/client'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import TextField from '../../lib/fields/TextField.svelte'

  /** One or two faults to watch in a student, kept with the student from lesson to lesson. */
  interface Props {
    student: Student
    /** What to call them on court. */
    short: string
    onkept: () => void
  }
  let { student, short, onkept }: Props = $props()
  // The fields are made anew for every student.
  // svelte-ignore state_referenced_locally
  const draft = drafts.open('student', student.id, { document: student.profile, revision: student.revision })
  const faults = $derived([draft.document.watch?.[0] ?? '', draft.document.watch?.[1] ?? ''])
  const wrong = $derived(draft.status === 'saved' ? '' : (Object.values(draft.fields)[0] ?? draft.detail))

  async function keep(i: number, text: string) {
    const watch = faults.map((fault, n) => (n === i ? text.trim() : fault)).filter(Boolean)
    draft.change((d) => (d.watch = watch))
    await draft.flush()
    onkept()
  }
</script>

<div class="grid gap-2 sm:grid-cols-2">
  {#each faults as fault, i (i)}
    <TextField
      label={i === 0 ? `Watch in ${short}` : 'and'}
      value={fault}
      error={i === 0 ? wrong : undefined}
      onchange={(text) => void keep(i, text)}
    />
  {/each}
</div>
