<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, over, say, type Student } from '../../lib/api/client'
  import { keys, renew } from '../../lib/data'
  import TextField from '../../lib/TextField.svelte'

  /** One or two faults to watch in a student, kept with the student from lesson to lesson. */
  interface Props {
    student: Student
    onkept: () => void
  }
  let { student, onkept }: Props = $props()
  const client = useQueryClient()
  let wrong = $state('')
  const faults = $derived([student.profile.watch?.[0] ?? '', student.profile.watch?.[1] ?? ''])
  const first = $derived(student.profile.name.split(' ')[0])

  async function keep(i: number, text: string) {
    const watch = faults.map((fault, n) => (n === i ? text.trim() : fault)).filter(Boolean)
    try {
      await answer(
        api.PUT('/api/students/{id}', {
          params: { path: { id: student.id }, header: over(student.version) },
          body: { ...$state.snapshot(student.profile), watch },
        }),
      )
      wrong = ''
      await renew(client, keys.students)
      onkept()
    } catch (error) {
      wrong = say(error)
    }
  }
</script>

<div class="grid gap-2 sm:grid-cols-2">
  {#each faults as fault, i (i)}
    <TextField
      label={i === 0 ? `Watch in ${first}` : 'and'}
      value={fault}
      error={i === 0 ? wrong : undefined}
      onchange={(text) => void keep(i, text)}
    />
  {/each}
</div>
