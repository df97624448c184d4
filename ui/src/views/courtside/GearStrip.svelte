<script lang="ts">
  import type { Gear } from './gear.svelte'

  /** The ball machine and the eye that are joined, to be driven with a thumb. */
  interface Props {
    gear: Gear
    lesson: string
    /** The block that is on, with what its machine would throw. */
    block: { id: string; title: string } | undefined
    /** Its balls land in a target, so that the eye can count. */
    aimed: boolean
  }
  let { gear, lesson, block, aimed }: Props = $props()
  const { machine, eye } = $derived(gear)
  const stands = $derived(machine?.stands)
  const times = $derived(stands?.times ?? 1)
  const step = 1.25
  const hopper = 60
</script>

{#if machine}
  <section class="strip" aria-label="Ball machine">
    <p>
      <strong>{machine.name}</strong>:
      {#if machine.lost}<span class="text-error" role="alert">lost, {machine.lost}.</span>
      {:else}
        <span class="drum-digits">{stands?.n ?? 0}</span> thrown,
        <span class="drum-digits">{stands?.left ?? 0}</span> left{stands?.program
          ? `, ${stands.program}`
          : ''}{times === 1 ? '' : `, waits × ${times.toFixed(2)}`}
      {/if}
    </p>
    {#if machine.lost}
      <button class="btn" onclick={() => void gear.join('machine', machine.address)}>Join it again</button>
      <button class="btn" onclick={() => void gear.leave('machine')}>Go on without it</button>
    {:else if stands?.jammed}
      <p class="text-error" role="alert">
        A ball is jammed. Switch the machine off before you reach into it.
      </p>
      <button class="btn" onclick={() => void gear.tell('machine', { do: 'clear' })}
        >The jam is cleared</button
      >
    {:else if !stands?.left}
      <p class="text-error" role="alert">The hopper is empty.</p>
      <button class="btn" onclick={() => void gear.tell('machine', { do: 'fill', balls: hopper })}
        >Filled, {hopper} balls</button
      >
    {:else}
      {#if block}<button
          class="btn"
          onclick={() => void gear.tell('machine', { do: 'load' }, { lesson, block: block.id })}
          >{stands.program ? 'Load this drill' : `Load ${block.title}`}</button
        >{/if}
      {#if stands.running}
        <button class="btn btn-primary" onclick={() => void gear.tell('machine', { do: 'pause' })}
          >Pause the machine</button
        >
      {:else}
        <button
          class="btn btn-primary"
          disabled={!stands.program}
          onclick={() => void gear.tell('machine', { do: 'start' })}>Start the machine</button
        >
        <button
          class="btn"
          disabled={!stands.program}
          onclick={() => void gear.tell('machine', { do: 'one' })}>One ball</button
        >
      {/if}
      <button
        class="btn"
        disabled={times >= 8}
        onclick={() => void gear.tell('machine', { do: 'gap', times: times * step })}>Slower</button
      >
      <button
        class="btn"
        disabled={times <= 0.3}
        onclick={() => void gear.tell('machine', { do: 'gap', times: times / step })}>Faster</button
      >
    {/if}
  </section>
{/if}
{#if eye}
  <section class="strip" aria-label="Eye for landings">
    {#if eye.lost}
      <p class="text-error" role="alert">{eye.name}: lost, {eye.lost}.</p>
      <button class="btn" onclick={() => void gear.join('eye', eye.address)}>Join it again</button>
      <button class="btn" onclick={() => void gear.leave('eye')}>Go on without it</button>
    {:else}
      <label class="flex min-h-11 items-center gap-3">
        <input type="checkbox" class="checkbox" bind:checked={gear.counts} disabled={!aimed} />
        {aimed ? 'The eye counts for whoever’s turn it is' : 'Nothing for the eye to count: no target'}
      </label>
    {/if}
  </section>
{/if}

<style>
  .strip {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.4rem;
    padding-inline: 1rem;
  }
  .strip > p {
    flex-basis: 100%;
  }
  .strip .btn {
    min-height: 44px;
  }
</style>
