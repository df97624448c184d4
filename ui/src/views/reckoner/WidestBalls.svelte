<script lang="ts">
  import Async from '../../lib/parts/Async.svelte'
  import { type AnglesAsked } from '../../lib/api/client'
  import { courtsQuery, settingsQuery } from '../../lib/page/data'
  import Angles from '../../stand/Angles.svelte'
  import { remembered } from './remembered.svelte'

  const settings = settingsQuery()
  const courts = courtsQuery()
  const asked = remembered<AnglesAsked>('angles', {
    court: 'tennis',
    pace: 'rally pace',
    spin: 'flat',
    over: 0.3,
    inside: 0.5,
    places: [
      { name: 'A', at: { x: 0, y: 12 }, high: 0.9 },
      { name: 'B', at: { x: 3.8, y: 12 }, high: 0.9 },
    ],
  })
</script>

<p class="hint max-sm:hidden">How wide can a ball be played from a place, and where is the middle between?</p>
<div class="sheet mt-3 max-w-5xl">
  <Async query={settings}>
    {#snippet children(read)}
      {#if courts.data}<Angles {read} courts={courts.data} {asked} />{/if}
    {/snippet}
  </Async>
</div>
