<script lang="ts">
  import type { Simulation, Report } from '../../../lib/api/client'
  import VerdictSign from './VerdictSign.svelte'
  import { apart } from './tempo'

  /** The gap between balls as a slider, and where along it each ball becomes easier. */
  interface Props {
    simulation: Simulation
    report: Report
    gap: number
    disabled: boolean
    onchange: (gap: number) => void
  }
  let { simulation, report, gap, disabled, onchange }: Props = $props()
  const [least, most] = [0.5, 8]
  const share = (seconds: number) => (100 * (seconds - least)) / (most - least)
  const tasks = $derived(simulation.tempos[0]?.verdicts.length ?? 0)
  /** Stretches of one verdict along the slider. */
  const bands = $derived(
    Array.from({ length: tasks }, (_, task) => {
      const list: { verdict: Simulation['timeline']['worst']; from: number; to: number }[] = []
      for (const tempo of simulation.tempos) {
        const verdict = tempo.verdicts[task] ?? 'easy'
        const last = list.at(-1)
        if (last?.verdict === verdict) last.to = tempo.gap
        else list.push({ verdict, from: last?.to ?? least, to: tempo.gap })
      }
      return list
    }),
  )
  /** The quickest tempo that can be kept up at all. */
  const kept = $derived(simulation.fastest.findLast((each) => each.gap !== null))
  let moving = $state<number | null>(null)
  const shown = $derived(moving ?? gap)
</script>

{#if tasks}
  <div class="mt-3">
    <div class="flex items-baseline gap-3">
      <label for="gap" class="text-sm font-medium">Tempo</label>
      <span class="drum-digits text-xl">{shown.toFixed(1)} s</span>
      <span class="text-sm">{(60 / shown).toFixed(1)} balls/min</span>
    </div>
    <input
      id="gap"
      type="range"
      class="range range-sm gap"
      min={least}
      max={most}
      step="0.1"
      value={Math.min(Math.max(gap, least), most)}
      {disabled}
      aria-valuetext="a ball every {shown.toFixed(1)} seconds"
      oninput={(event) => (moving = event.currentTarget.valueAsNumber)}
      onchange={(event) => {
        moving = null
        onchange(event.currentTarget.valueAsNumber)
      }}
    />
    <div class="bands" aria-hidden="true">
      {#each bands as list, task (task)}
        <b>{task + 1}</b>
        <div class="band">
          {#each list as band, n (n)}
            <span
              class={band.verdict.replaceAll(' ', '-')}
              style:left="{share(band.from)}%"
              style:width="{share(band.to) - share(band.from)}%"
              title="{report.feeds.find((feed) => feed.number === task + 1)?.label ??
                `task ${task + 1}`}: {band.verdict} from {band.from.toFixed(1)} to {band.to.toFixed(1)} s"
            ></span>
          {/each}
        </div>
      {/each}
      <div class="axis">
        {#each [1, 2, 3, 4, 5, 6, 7] as tick (tick)}<small style:left="{share(tick)}%">{tick} s</small>{/each}
      </div>
      <div class="now"><i style:left="{share(Math.min(Math.max(shown, least), most))}%"></i></div>
    </div>
    <ul class="mt-1 flex flex-wrap gap-x-4 text-sm" aria-label="How fast it can go">
      {#each apart(simulation.fastest) as fastest (fastest.strain)}
        <li class="flex items-center gap-1">
          {#if fastest.gap === null}never{/if}
          <VerdictSign verdict={fastest.strain} />
          {#if fastest.gap !== null}from {fastest.gap.toFixed(1)} s{/if}
        </li>
      {/each}
    </ul>
    {#if kept && kept.gap !== null && gap >= kept.gap - 1e-9}
      <p class="text-sm">What gives first when it gets quicker: {kept.first}.</p>
    {/if}
  </div>
{/if}

<style>
  .gap {
    width: calc(100% - 1.5rem);
    margin-left: 1.5rem;
  }
  .bands {
    position: relative;
    display: grid;
    grid-template-columns: 1.1rem minmax(0, 1fr);
    gap: 2px 0.4rem;
    align-items: center;
    margin-top: 0.35rem;
  }
  .bands b {
    font: 600 0.95rem/1 var(--font-drum);
  }
  .band {
    position: relative;
    height: 0.9rem;
    background: var(--color-base-200);
  }
  .band span {
    position: absolute;
    inset-block: 0;
  }
  .axis {
    grid-column: 2;
    position: relative;
    height: 1rem;
  }
  .axis small {
    position: absolute;
    transform: translateX(-50%);
    font-size: 0.75rem;
  }
  .now {
    position: absolute;
    inset: 0 0 1rem 1.5rem;
    pointer-events: none;
  }
  /* Told apart by height as well as by colour. */
  .easy {
    background: var(--verdict-easy);
    top: 60% !important;
  }
  .working {
    background: var(--verdict-working);
    top: 35% !important;
  }
  .stretched {
    background: var(--verdict-stretched);
    top: 15% !important;
  }
  .out-of-reach {
    background: repeating-linear-gradient(
      45deg,
      var(--verdict-out-of-reach) 0 4px,
      color-mix(in oklab, var(--verdict-out-of-reach) 55%, var(--color-base-100)) 4px 8px
    );
  }
  i {
    position: absolute;
    inset-block: -2px;
    width: 2px;
    background: var(--color-base-content);
  }
</style>
