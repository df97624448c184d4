<script lang="ts">
  import type { Progress } from '../../lib/api/client'
  import { onDay, outcome, tally } from '../../lib/words/words'

  interface Props {
    student: string
    drill: Progress['drills'][number]
  }
  let { student, drill }: Props = $props()
  /** Which of the drill it was, and how it was played. */
  const said = ({ version, measure, realism, detail }: (typeof drill.times)[number]) =>
    [version, measure, realism, detail].filter(Boolean).join(', ')
  const most = $derived(Math.max(...drill.times.map((time) => time.count.balls), 1))
</script>

<div class="mt-3">
  <h3 class="font-semibold">
    <a class="link link-hover" href="#/drills/{drill.drill}">{drill.name}</a>
    <span class="hint font-normal">{drill.stroke}, {drill.rung}</span>
  </h3>
  <div class="overflow-x-auto">
    <table class="table-xs mt-1 table">
      <caption class="sr-only">Each time {drill.name} was played</caption>
      <thead>
        <tr>
          <th scope="col">Day</th><th scope="col" class="w-2/5 min-w-24"
            ><span class="sr-only">Share made</span></th
          >
          <th scope="col" class="text-right">Made</th><th scope="col" class="text-right">Best in a row</th><th
            scope="col">Goal</th
          >
        </tr>
      </thead>
      <tbody>
        {#each drill.times as time, i (i)}
          <tr>
            <th scope="row" class="font-normal whitespace-nowrap">{onDay(time.at, 'brief')}</th>
            <td>
              <span class="bar" style:width="{(time.count.balls / most) * 100}%">
                <span style:width="{(time.count.made / Math.max(time.count.balls, 1)) * 100}%"></span>
              </span>
            </td>
            <td
              class="text-right whitespace-nowrap tabular-nums"
              data-figure="{time.lesson} {student} {drill.name} {time.measure} counted"
              >{tally(time.unit, time.count)}</td
            >
            <td class="text-right whitespace-nowrap tabular-nums"
              >{time.count.atLeast ? 'at least ' : ''}{time.count.best}</td
            >
            <td class="min-w-36"
              >{[said(time), `${time.goal}: ${outcome(time.standing)}`].filter(Boolean).join(': ')}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</div>

<style>
  .bar {
    display: block;
    height: 0.7rem;
    border: 1px solid var(--color-base-content);
  }
  .bar span {
    display: block;
    height: 100%;
    background: var(--color-secondary);
  }
</style>
