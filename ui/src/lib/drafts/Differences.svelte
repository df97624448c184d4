<script lang="ts">
  import type { Conflict } from './merge'
  import { inWords, shortly } from '../fields/fields'

  /** What differs between two versions of a document, side by side. */
  interface Props {
    list: readonly Conflict[]
    mine: string
    theirs: string
  }
  let { list, mine, theirs }: Props = $props()
  const some = 12
</script>

<table class="table-sm mt-1 table w-auto">
  <thead><tr><th scope="col">What</th><th scope="col">{mine}</th><th scope="col">{theirs}</th></tr></thead>
  <tbody>
    {#each list.slice(0, some) as one (one.path)}
      <tr>
        <th scope="row">{inWords(one.path)}</th>
        <td>{shortly(one.mine)}</td>
        <td>{shortly(one.theirs)}</td>
      </tr>
    {/each}
  </tbody>
</table>
{#if list.length > some}<p class="hint text-sm">And {list.length - some} more.</p>{/if}
