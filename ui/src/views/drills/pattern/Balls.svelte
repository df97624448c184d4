<script lang="ts">
  import { tick } from 'svelte'
  import type { Task } from '../../../lib/api/client'
  import type { Bench } from '../bench/bench.svelte'
  import { madeOf, wrongAt } from '../measures/measures'
  import VerdictSign from '../play/VerdictSign.svelte'

  /** The tasks of a sequence, a line each: what becomes of it. The one that is chosen is open beside them. */
  interface Props {
    bench: Bench
    /** As a strip to be pushed sideways, for a phone. */
    strip?: boolean
  }
  let { bench, strip = false }: Props = $props()
  const tasks = $derived(bench.pattern.tasks)
  let table = $state<HTMLTableElement>()
  const met = (i: number) => bench.simulation?.tasks.find((each) => each.met.task === i)?.met
  const place = (i: number) =>
    bench.report?.spots.find((spot) => spot.handle === `pattern.tasks.${i}.landing`)?.description
  const what = (task: Task) =>
    [
      task.kind && task.kind !== 'ball' ? task.kind : '',
      task.stroke,
      task.player ? `of player ${task.player + 1}` : '',
    ]
      .filter(Boolean)
      .join(' ')
  const how = (task: Task) => [task.pace, task.spin, task.contact].filter(Boolean).join(', ')

  async function focusRow(i: number | undefined) {
    if (i === undefined) return
    await tick()
    table?.tBodies[0]?.rows[i]?.querySelector<HTMLElement>('button')?.focus()
  }

  /** Up and down go from row to row, with Alt they take the row along; + adds one like it, Delete drops it. */
  function key(event: KeyboardEvent, i: number) {
    const by =
      event.key === (strip ? 'ArrowLeft' : 'ArrowUp')
        ? -1
        : event.key === (strip ? 'ArrowRight' : 'ArrowDown')
          ? 1
          : 0
    if (by && event.altKey && !bench.fixed) void focusRow(bench.shift(i, by))
    else if (by) void focusRow(i + by)
    else if ((event.key === '+' || event.key === 'Insert') && !bench.fixed) void focusRow(bench.addAfter(i))
    else if (event.key === 'Delete' && !bench.fixed) void focusRow(bench.drop(i))
    else return
    event.preventDefault()
  }
</script>

<table class="balls" class:strip bind:this={table}>
  <caption class="sr-only">The tasks of one sequence, in order</caption>
  <thead class="sr-only">
    <tr>
      <th scope="col">#</th><th scope="col">Task</th><th scope="col">How hard</th><th scope="col">To spare</th
      >
      <th scope="col">Made</th>
    </tr>
  </thead>
  <tbody>
    {#each tasks as task, i (i)}
      {@const ball = met(i)}
      {@const tens = madeOf(bench.fits, i)}
      {@const wrong = wrongAt(bench.errors, `pattern.tasks.${i}`) ?? ball?.problem}
      <tr class:chosen={bench.ball === i} onkeydown={(event) => key(event, i)}>
        <th scope="row" class="drum-digits text-xl">{i + 1}</th>
        <td class="what">
          <button
            aria-expanded={bench.ball === i}
            aria-label="Task {i + 1}: {[what(task), how(task)].filter(Boolean).join(', ')}"
            title={place(i)}
            onclick={() => bench.open(bench.ball === i ? undefined : i)}
            >{what(task)} <span class="hint how">{how(task)}</span></button
          >
        </td>
        {#if wrong}
          <td colspan="3" class="text-error text-sm"><span role="alert">{wrong}</span></td>
        {:else}
          <td class="verdict">
            {#if ball}<VerdictSign verdict={ball.verdict} />{#if ball.meant}<span class="hint text-sm"
                  >, meant</span
                >{/if}{/if}
          </td>
          <td class="figure"
            >{#if ball}{ball.spare.toFixed(2)} s<span class="unit"> to spare</span>{/if}</td
          >
          <td class="figure"
            >{#if tens !== undefined}<span class="unit">made </span>{tens.toFixed(1)} of 10{/if}</td
          >
        {/if}
      </tr>
    {/each}
  </tbody>
</table>

<style>
  .balls {
    width: 100%;
    border-collapse: collapse;
  }
  tr {
    border-bottom: 1px solid var(--color-base-300);
  }
  tr.chosen {
    background: var(--color-base-200);
  }
  th,
  td {
    padding: 0 0.5rem;
    text-align: left;
    vertical-align: middle;
    line-height: 1.2;
  }
  button {
    display: block;
    width: 100%;
    min-height: 2.4rem;
    text-align: left;
    cursor: pointer;
  }
  .how {
    margin-left: 0.35rem;
    font-size: 0.875rem;
  }
  .figure {
    text-align: right;
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
  .unit {
    margin-inline: 0.3em;
  }
  .strip,
  .strip tbody {
    display: flex;
    gap: 0.4rem;
  }
  .strip {
    overflow-x: auto;
    padding-bottom: 0.2rem;
  }
  .strip tr {
    display: grid;
    grid-template-columns: auto auto;
    flex: none;
    align-items: center;
    border: 1px solid var(--color-base-300);
    border-radius: var(--radius-box);
    padding: 0.15rem 0.4rem;
    font-size: 0.875rem;
  }
  .strip td,
  .strip th {
    padding: 0 0.2rem;
    border: 0;
  }
  .strip td[colspan] {
    grid-column: 1 / -1;
    max-width: 14rem;
  }
  .strip :is(.unit, .how, .figure:last-child) {
    display: none;
  }
  .strip button {
    min-height: 1.6rem;
  }
  /* Beside a court that lies, or an open card, there is room for the bare figures. */
  @container side (max-width: 60rem) {
    .unit {
      display: none;
    }
  }
  @container side (max-width: 24rem) {
    th,
    td {
      padding-inline: 0.15rem;
      font-size: 0.9rem;
    }
    .how {
      display: none;
    }
  }
</style>
