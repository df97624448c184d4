<script lang="ts">
  import type { Report } from '../../../lib/api/client'

  interface Props {
    shape: Report['measures'][number]['measured']
  }
  let { shape }: Props = $props()
</script>

<dl class="mt-3 flex flex-wrap gap-x-6 gap-y-1" aria-label="The target, measured">
  {#each shape as part, i (i)}
    <div>
      <dt class="text-sm">{part.name}</dt>
      <dd class="font-medium">{part.value}</dd>
    </div>
  {/each}
</dl>
