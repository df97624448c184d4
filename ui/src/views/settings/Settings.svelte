<script lang="ts">
  import Async from '../../lib/parts/Async.svelte'
  import { settingsQuery } from '../../lib/page/data'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import SettingsForm from './SettingsForm.svelte'

  const query = settingsQuery()
</script>

<h1>Settings</h1>
<p class="mt-2 flex gap-4">
  <a class="link" href="#/devices">Devices and passphrase</a>
  <a class="link" href="#/settings/keeping">Keeping it safe: copies, everything out and in</a>
</p>
<Async {query}>
  {#snippet children(read)}
    {#await drafts.ready}<p role="status">Loading…</p>{:then}<SettingsForm {read} />{/await}
  {/snippet}
</Async>
