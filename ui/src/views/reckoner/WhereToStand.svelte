<script lang="ts">
  import StandOn from '../../stand/StandOn.svelte'
  import { firstStanding, type Standing } from '../../stand/standing'
  import { remembered } from './remembered.svelte'

  const asked = remembered<Standing>('stand', firstStanding)
</script>

<p class="hint max-sm:hidden">
  Where to wait for what an opponent may play, what is held from there, and what is given up?
</p>
<div class="sheet mt-3 max-w-5xl"><StandOn {asked} /></div>
