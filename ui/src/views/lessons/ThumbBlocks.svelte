<script lang="ts">
  import type { Planner } from './planner.svelte'

  /**
   * The blocks of a lesson for small changes with a thumb: earlier and later, some minutes less or more, another drill.
   */
  interface Props {
    planner: Planner
  }
  let { planner }: Props = $props()
  /** By how many minutes a press makes a block longer or shorter. */
  const step = 5
  const blocks = $derived(planner.plan.blocks)
  const whole = (id: string) => planner.document.blocks.find((each) => each.id === id)
  const choose = (id: string) => (planner.selected = planner.selected === id ? '' : id)
</script>

<ol class="blocks sheet mt-3" aria-label="The blocks">
  {#each blocks as each, i (each.block)}
    {@const block = whole(each.block)}
    {@const open = planner.selected === each.block}
    <li>
      <button class="row" aria-expanded={open} onclick={() => choose(each.block)}>
        <span class="drum-digits">{each.clock}</span>
        <span class="title">{each.title}</span>
        <span class="hint text-sm" class:text-error={each.over > 0}>{each.length}</span>
      </button>
      {#if open && block}
        <div class="acts" role="group" aria-label="Change {each.title}">
          <button class="btn" disabled={i === 0} onclick={() => void planner.move(block.id, -1)}
            >Earlier</button
          >
          <button
            class="btn"
            disabled={i === blocks.length - 1}
            onclick={() => void planner.move(block.id, 1)}>Later</button
          >
          <button
            class="btn"
            disabled={block.minutes <= step}
            onclick={() => void planner.resize(block.id, -step)}>{step} min less</button
          >
          <button class="btn" onclick={() => void planner.resize(block.id, step)}>{step} min more</button>
          {#if block.drill}<button
              class="btn"
              onclick={() => (planner.adding = { kind: 'swap', block: block.id })}>Another drill</button
            >{/if}
          <button class="btn" onclick={() => void planner.takeOut(block.id)}>Take out</button>
        </div>
      {/if}
    </li>
  {/each}
</ol>

<style>
  .blocks {
    padding: 0.25rem 0.75rem;
  }
  li + li {
    border-top: 1px solid var(--color-base-300);
  }
  .row {
    display: grid;
    grid-template-columns: auto 1fr auto;
    align-items: center;
    gap: 0.75rem;
    width: 100%;
    min-height: 52px;
    text-align: left;
    cursor: pointer;
  }
  .title {
    overflow: hidden;
    text-overflow: ellipsis;
    font-weight: 600;
  }
  .acts {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0.4rem;
    padding-bottom: 0.6rem;
  }
  .acts .btn {
    min-height: 48px;
  }
</style>
