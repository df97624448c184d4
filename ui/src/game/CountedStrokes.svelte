<script lang="ts">
  import type { Played } from '../lib/api/client'

  /** How often each player made the strokes that are counted beside the score. */
  interface Props {
    played: Played
  }
  let { played }: Props = $props()
  const counts = $derived(played.state?.counts ?? [])
  const measures = $derived(played.document.rules?.measures ?? [])
</script>

{#if counts.length}
  <table class="table-sm table w-auto" aria-label="Strokes counted">
    <tbody>
      {#each counts as count (`${count.measure} ${count.player}`)}
        <tr>
          <th scope="row" class="font-normal"
            >{played.names[count.player]}: {measures.find(({ id }) => id === count.measure)?.name}</th
          >
          <td class="whitespace-nowrap"
            ><span class="drum-digits text-lg">{count.made}</span> of {count.made + count.missed} made</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
{/if}
