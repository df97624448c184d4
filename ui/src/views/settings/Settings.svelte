<script lang="ts">
  import Async from '../../lib/Async.svelte'
  import { settingsQuery } from '../../lib/data'
  import SettingsForm from './SettingsForm.svelte'

  const query = settingsQuery()
  let generation = $state(0)
</script>

<h1>Settings</h1>
<Async {query}>
  {#snippet children(read)}
    {#key generation}
      <SettingsForm {read} onreload={() => void query.refetch().then(() => generation++)} />
    {/key}
  {/snippet}
</Async>
