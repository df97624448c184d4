<script lang="ts">
  import { Unreachable } from '../api/client'
</script>

<div class="alert alert-error" role="alert">
  <p>This page could not be loaded. {new Unreachable().message} What you changed is kept on this device.</p>
  <button class="btn btn-sm" onclick={() => location.reload()}>Try again</button>
</div>
