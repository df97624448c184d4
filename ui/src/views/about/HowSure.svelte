<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'

  /** What was told of goals when lessons began, against what happened, tenth by tenth. */
  const query = createQuery(() => ({
    queryKey: ['reliability'],
    queryFn: () => answer(api.GET('/api/reliability')),
  }))
  const percent = (share: number) => `${(100 * share).toFixed(1)}%`
</script>

<h1>How sure are these figures?</h1>
<Async {query}>
  {#snippet children(account)}
    <section class="sheet mt-4 max-w-2xl" aria-label="What was told, and what happened">
      <p>{account.sentence}</p>
      {#if account.told}
        <table class="table-sm mt-3 table">
          <thead>
            <tr>
              <th scope="col">Told</th>
              <th scope="col" class="w-1/2"
                ><span class="hint flex justify-between font-normal" aria-hidden="true"
                  ><span>0</span><span>10 in 10</span></span
                ><span class="sr-only">What was told and what happened, drawn</span></th
              >
              <th scope="col" class="text-right">Met</th>
            </tr>
          </thead>
          <tbody>
            {#each account.tenths as tenth (tenth.from)}
              <tr>
                <th scope="row" class="font-normal whitespace-nowrap"
                  >{Math.round(10 * tenth.from)} to {Math.round(10 * tenth.to)} times in 10</th
                >
                <td>
                  {#if tenth.told}
                    <div class="scale" role="img" aria-label={tenth.said}>
                      <i
                        class="likely"
                        style:left={percent(tenth.low)}
                        style:width={percent(tenth.high - tenth.low)}
                      ></i>
                      <i class="happened" style:left={percent(tenth.met / tenth.told)}></i>
                      <i class="was-told" style:left={percent(tenth.mean)}></i>
                    </div>
                  {/if}
                </td>
                <td class="text-right whitespace-nowrap tabular-nums"
                  >{tenth.told ? `${tenth.met} of ${tenth.told}` : '–'}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
        <p class="hint mt-2 text-sm">
          The line is what was told, the dot what happened, the bar where that lies 95 times in 100 for so few
          goals.
        </p>
      {/if}
      <p class="hint mt-2 text-sm">
        A forecast is kept when its lesson begins. Goals of blocks that were cut short, or whose balls were
        not counted to the end, are left out, and races and goals that several have together.
      </p>
    </section>
  {/snippet}
</Async>
<p class="mt-4 max-w-2xl">
  <a class="link" href="#/limits">What this model cannot know</a>
</p>

<style>
  .scale {
    position: relative;
    height: 1.25rem;
    border-bottom: 1px solid color-mix(in oklab, currentColor 50%, transparent);
  }
  .scale i {
    position: absolute;
    bottom: 0;
  }
  .likely {
    height: 0.5rem;
    background: color-mix(in oklab, currentColor 25%, transparent);
  }
  .happened {
    width: 0.7rem;
    height: 0.7rem;
    margin-left: -0.35rem;
    border-radius: 50%;
    background: currentColor;
  }
  .was-told {
    width: 2px;
    height: 1.25rem;
    margin-left: -1px;
    background: var(--color-primary);
  }
</style>
