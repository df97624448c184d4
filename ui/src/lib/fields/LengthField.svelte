<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api, Refusal, describe } from '../api/client'
  import { keys, settingsQuery } from '../page/data'
  import TextField from './TextField.svelte'

  /** A length that is kept in metres, written and typed in the coach's words. */
  interface Props {
    label: string
    metres: number
    error?: string
    onchange: (metres: number) => void
  }
  let { label, metres, error, onchange }: Props = $props()
  let unread = $state('')
  const settings = settingsQuery()
  const written = createQuery(() => ({
    queryKey: keys.length(metres, settings.data?.settings.units ?? ''),
    queryFn: () => answer(api.POST('/api/lengths', { body: { metres } })),
    staleTime: Infinity,
  }))

  async function read(text: string) {
    try {
      const length = await answer(api.POST('/api/lengths', { body: { text } }))
      unread = ''
      onchange(length.metres)
    } catch (cause) {
      unread = cause instanceof Refusal ? (cause.fields.text ?? cause.message) : describe(cause)
    }
  }
</script>

<TextField
  {label}
  value={written.data?.text ?? ''}
  error={unread || error}
  onchange={(text) => void read(text)}
/>
