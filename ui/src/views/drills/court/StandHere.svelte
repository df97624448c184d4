<script lang="ts">
  import type { DrillDocument, Point } from '../../../lib/api/client'
  import StandOn from '../../../stand/StandOn.svelte'
  import { firstStanding, type Standing } from '../../../stand/standing'

  /** Where to stand on the court of a drill, worked out when it is opened; the opponent is where the feeder is. */
  interface Props {
    drill: DrillDocument
    hand: 'right' | 'left'
    student: string
    level: string
    feeder?: Point
  }
  let { drill, hand, student, level, feeder }: Props = $props()
  let open = $state(false)
  const asked = $state<Standing>({ ...firstStanding })
  $effect(() => {
    if (asked.court !== drill.court) Object.assign(asked, { court: drill.court, situation: '' })
    asked.hand = hand
    asked.level = (level || drill.level || 'club player') as Standing['level']
  })
</script>

<details class="mt-4" bind:open>
  <summary class="cursor-pointer"><h2 class="inline">Where to stand</h2></summary>
  {#if open}
    <p class="hint mt-1 mb-3 text-sm">
      What an opponent may play from where the feeder stands, and where to wait for it.
    </p>
    <StandOn {asked} fixed student={student || undefined} from={feeder} />
  {/if}
</details>
