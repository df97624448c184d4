<script lang="ts">
  import type { Unreadable } from '../api/client'

  /** Stored documents that cannot be shown, each with a way to save its text. */
  interface Props {
    list: Unreadable[]
  }
  let { list }: Props = $props()
</script>

{#each list as each (each.kind + each.id)}
  <div class="alert alert-warning" role="group" aria-label="Unreadable: {each.name || each.kind}">
    <p>
      <strong>{each.name || `A ${each.kind}`} cannot be shown:</strong>
      {each.why}. Nothing of it is lost.
    </p>
    <a class="btn btn-sm" href="/api/stored/{each.kind}/{each.id}" download>Save its text</a>
  </div>
{/each}
