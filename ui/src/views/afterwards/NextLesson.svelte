<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { push } from 'svelte-spa-router'
  import { v7 } from 'uuid'
  import { answer, api, isNew } from '../../lib/api/client'
  import { keys, renew } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'

  /** The next lesson of the same students, with drills for their next steps. */
  interface Props {
    lesson: string
  }
  let { lesson }: Props = $props()
  const client = useQueryClient()
  let asking = $state(false)

  async function propose() {
    asking = true
    try {
      const id = v7()
      const body = await answer(api.POST('/api/lessons/{id}/next', { params: { path: { id: lesson } } }))
      await answer(api.PUT('/api/lessons/{id}', { params: { path: { id }, header: isNew }, body }))
      await renew(client, keys.lessons)
      await push(`/lessons/${id}`)
    } catch (error) {
      notices.wrong(error)
    } finally {
      asking = false
    }
  }
</script>

<button class="btn btn-primary" disabled={asking} onclick={propose}
  >Plan next time, a week later, for everybody’s next step</button
>
