<script lang="ts">
  import type { OddsAnswer } from '../lib/api/client'
  import { columns } from './goals'

  /** What can come of a goal, as twenty dots that are equally likely. */
  interface Props {
    answer: OddsAnswer
  }
  let { answer }: Props = $props()
  const wide = 24
  const dots = $derived(columns(answer.dots, wide))
  const high = $derived(Math.max(4, ...dots.map((dot) => dot.height + 1)))
  const ends = $derived([answer.dots[0] ?? 0, answer.dots.at(-1) ?? 0])
  const sentence = $derived(
    answer.quantiles
      .map((each) => `${Math.round(each.share * 20)} of 20 within ${Math.round(each.balls)}`)
      .join(', '),
  )
</script>

{#if !answer.never}
  <figure class="mt-2">
    <svg viewBox="0 0 {wide} {high}" style:--high={high} role="img" aria-label="{answer.unit}: {sentence}">
      {#each dots as dot, i (i)}
        <circle cx={dot.at + 0.5} cy={high - dot.height - 0.5} r="0.4" class:late={i >= 18} />
      {/each}
    </svg>
    <figcaption class="hint flex justify-between text-sm">
      <span>{Math.round(ends[0] ?? 0)} {answer.unit}</span>
      <span>each dot is 1 time in 20</span>
      <span>{Math.round(ends[1] ?? 0)}</span>
    </figcaption>
  </figure>
{/if}

<style>
  figure {
    max-width: 30rem;
  }
  svg {
    display: block;
    width: 100%;
    border-bottom: 2px solid var(--color-base-content);
  }
  circle {
    fill: var(--color-primary);
  }
  .late {
    fill: none;
    stroke: var(--color-primary);
    stroke-width: 0.16;
  }
</style>
