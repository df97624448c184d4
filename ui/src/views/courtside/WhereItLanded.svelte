<script lang="ts">
  import type { Counter, Entry, Point } from '../../lib/api/client'
  import { onDevice } from '../../lib/page/kept'
  import Landing from './Landing.svelte'
  import Zones from './Zones.svelte'

  /** Where the ball landed that is counted next: its place, or its zone, where nobody has time for the place. */
  interface Props {
    counter: Counter
    landing: Point | undefined
    zone: Entry['zone']
  }
  let { counter, landing = $bindable(), zone = $bindable() }: Props = $props()
  let byZone = $state(onDevice.get('hodometer.zones') === 'on')

  function setByZone() {
    byZone = !byZone
    onDevice.set('hodometer.zones', byZone ? 'on' : 'off')
    landing = zone = undefined
  }
</script>

{#if byZone && counter.zones.length}
  <Zones zones={counter.zones} chosen={zone} onzone={(z) => (zone = z)} />
{:else if counter.aim}
  <Landing court={counter.court} aim={counter.aim} at={landing} onpoint={(place) => (landing = place)} />
{/if}
{#if counter.zones.length}
  <button class="btn big" aria-pressed={byZone} onclick={setByZone}
    >{byZone ? 'Note places instead' : 'Note zones instead'}</button
  >
{/if}

<style>
  .big {
    min-height: 48px;
    font-size: 1.05rem;
  }
</style>
