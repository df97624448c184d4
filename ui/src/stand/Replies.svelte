<script lang="ts">
  import NumberInput from '../lib/fields/NumberInput.svelte'
  import { say } from '../lib/words/say'
  import type { Likely, StandAnswer } from '../lib/api/client'

  /** What may come, how likely, and what is held of it; chances are typed, and what came is tapped. */
  interface Props {
    likely: Likely[]
    seen: number[]
    answer?: StandAnswer
    chosen: number
    own: boolean
    error?: string
    onchance: (i: number, chance: number) => void
    onseen: (i: number) => void
    onusual: () => void
  }
  let { likely, seen, answer, chosen, own, error, onchance, onseen, onusual }: Props = $props()
  const hundredth = (share: number | undefined) =>
    share === undefined ? '–' : String(Math.round(100 * share))

  /** Chances that cannot be read. */
  let wrong = $state<Record<number, string>>({})
</script>

<div class="overflow-x-auto">
  <table class="replies w-full">
    <caption class="sr-only">What may come</caption>
    <thead>
      <tr>
        <th scope="col">It may come</th>
        <th scope="col">Chance, of 100</th>
        <th scope="col">Seen</th>
        <th scope="col">Held here</th>
        <th scope="col" class="max-sm:hidden">In the middle</th>
        <th scope="col" class="max-sm:hidden">Lands after</th>
      </tr>
    </thead>
    <tbody>
      {#each likely as each, i (each.reply)}
        {@const coming = answer?.coming[i]}
        <tr>
          <th scope="row"><span class="number">{i + 1}</span> {each.reply}</th>
          <td
            ><NumberInput
              class="input input-sm w-16 {error || wrong[i] ? 'input-error' : ''}"
              min={0}
              max={100}
              step={5}
              aria-label="Chance of the {each.reply}, of 100"
              aria-describedby={error ? 'chances-wrong' : undefined}
              value={Math.round(100 * each.chance)}
              onnumber={(number) => number !== undefined && onchance(i, number / 100)}
              onwrong={(why) => (wrong[i] = why)}
            />{#if wrong[i]}<p class="text-error text-sm" role="alert">{wrong[i]}</p>{/if}</td
          >
          <td
            ><button
              class="btn btn-sm whitespace-nowrap"
              aria-label="The {each.reply} came"
              onclick={() => onseen(i)}>{seen[i] ?? 0} +</button
            ></td
          >
          {#if coming && !coming.possible}
            <td colspan="3" class="hint">cannot be played from there: {coming.why}</td>
          {:else if coming && coming.chance === 0}
            <td colspan="3" class="hint">{say('stand.never comes')}</td>
          {:else}
            <td>{hundredth(answer?.stands[chosen]?.each[i])}</td>
            <td class="max-sm:hidden">{hundredth(answer?.stands[0]?.each[i])}</td>
            <td class="max-sm:hidden">{coming ? `${coming.seconds.toFixed(2)} s` : '–'}</td>
          {/if}
        </tr>
      {/each}
    </tbody>
  </table>
</div>
{#if error}<p class="text-error mt-1" role="alert" id="chances-wrong">{error}</p>{/if}
<p class="hint mt-2 text-sm">
  {#if own}These are your own chances. <button class="link" onclick={onusual}>As usual</button>{:else}Chances
    as common practice has them, no source; type your own, and tap what you see: both are kept.{/if}
</p>

<style>
  .replies th,
  .replies td {
    padding: 0.25rem 0.5rem 0.25rem 0;
    text-align: left;
    font-weight: 400;
    font-variant-numeric: tabular-nums;
  }
  .replies thead th {
    font-size: 0.8rem;
    color: var(--color-base-content);
    vertical-align: bottom;
  }
  .number {
    display: inline-block;
    min-width: 1.2rem;
    font-family: var(--font-drum);
    font-weight: 600;
  }
</style>
