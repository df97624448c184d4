<script lang="ts">
  import Async from '../lib/parts/Async.svelte'
  import { type Point } from '../lib/api/client'
  import { courtsQuery, settingsQuery } from '../lib/page/data'
  import { drafts } from '../lib/drafts/drafts.svelte'
  import Stand from './Stand.svelte'
  import type { Standing } from './standing'

  /** Where to stand, with the settings and the courts that it takes. */
  interface Props {
    asked: Standing
    fixed?: boolean
    picture?: boolean
    student?: string
    from?: Point
  }
  let { asked, fixed, picture, student, from }: Props = $props()
  const settings = settingsQuery()
  const courts = courtsQuery()
</script>

<Async query={settings}>
  {#snippet children(read)}
    {#await drafts.ready}<p role="status">Loading…</p>{:then}
      {#if courts.data}<Stand {read} courts={courts.data} {asked} {fixed} {picture} {student} {from} />{/if}
    {/await}
  {/snippet}
</Async>
