<script lang="ts">
  import { Kits } from '../../device/kits'
  import { DeviceStore, type Packed } from '../../device/store'
  import { dayName, today } from '../../lib/words/words'

  /** Where the program does not answer: the lessons that this device has with it. */
  let list = $state.raw<Packed[]>([])
  const when = ({ kit: { document } }: Packed) => `${document.date} ${document.start}`
  void new Kits(new DeviceStore()).all().then((all) => {
    list = all.sort((a, b) => when(a).localeCompare(when(b)))
  })
</script>

{#if list.length}
  <section class="mt-5" aria-label="On this device">
    <h2>On this device</h2>
    <p class="hint mt-1">These can be run without Hodometer: it is told once it answers.</p>
    <ul class="mt-3 flex flex-col gap-3">
      {#each list as { lesson, kit } (lesson)}
        <li class="sheet flex flex-wrap items-center justify-between gap-3">
          <p>
            <strong>{kit.document.title}</strong><br />
            {dayName(kit.document.date, today())}, {kit.document.start}, {kit.document.minutes} min
          </p>
          <a class="btn btn-primary min-h-11" href="#/lessons/{lesson}/courtside">Go courtside</a>
        </li>
      {/each}
    </ul>
  </section>
{/if}
