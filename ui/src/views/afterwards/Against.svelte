<script lang="ts">
  import type { Afterwards } from '../../lib/api/client'
  import { lasting } from '../../lib/words/words'

  /** How long each block was to go, and went. */
  interface Props {
    lesson: string
    against: Afterwards['against']
  }
  let { lesson, against }: Props = $props()
</script>

<table class="table-sm table">
  <caption class="sr-only">Each block against the plan</caption>
  <thead
    ><tr
      ><th scope="col">Block</th><th scope="col" class="text-right">Planned</th><th
        scope="col"
        class="text-right">Went</th
      ><th scope="col"><span class="sr-only">In words</span></th></tr
    ></thead
  >
  <tbody>
    {#each against as each (each.block)}
      <tr>
        <th scope="row" class="font-normal">{each.title}</th>
        <td
          class="text-right tabular-nums"
          data-figure="{lesson} {each.block} lasts"
          data-value="{Number((each.planned / 60).toFixed(1))} min"
          >{each.planned ? lasting(each.planned) : '–'}</td
        >
        <td class="text-right tabular-nums">{each.ran ? lasting(each.ran) : '–'}</td>
        <td class={each.said === 'as planned' ? 'hint' : ''}>{each.said}</td>
      </tr>
    {/each}
  </tbody>
</table>
