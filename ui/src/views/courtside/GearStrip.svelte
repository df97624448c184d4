<script lang="ts">
  import type { Gear } from './gear.svelte'

  /** The ball machine and the eye that are joined, to be driven with a thumb. */
  interface Props {
    gear: Gear
    /** What a machine would throw now; empty where nothing is fed. */
    title: string
    /** The drill that is on is planned with a machine. */
    planned: boolean
    running: boolean
    /** Its balls land in a target, so that the eye can count. */
    aimed: boolean
    onjoin: () => void
  }
  let { gear, title, planned, running, aimed, onjoin }: Props = $props()
  const { machine, eye } = $derived(gear)
  const stands = $derived(machine?.stands)
  const tally = $derived(gear.equipment?.tally)
  const times = $derived(stands?.times || 1)
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
        <span class="drum-digits">{stands?.left ?? 0}</span> left{machine.rate
          ? `, ${machine.rate.toFixed(1)} balls a minute`
          : ''}
      {/if}
    </p>
    {#if machine.lost}
      <button class="btn" onclick={() => void gear.join('machine', machine.address)}>Join it again</button>
      <button class="btn" onclick={() => void gear.leave('machine')}>Go on without it</button>
    {:else if stands?.jammed}
      <p class="text-error" role="alert">
        A ball is jammed. Switch the machine off before you reach into it.
      </p>
      <button class="btn" onclick={() => void gear.tell({ do: 'clear' })}>The jam is cleared</button>
    {:else if !stands?.left}
      <p class="text-error" role="alert">The hopper is empty.</p>
      <button class="btn" onclick={() => void gear.tell({ do: 'fill', balls: hopper })}
        >Filled, {hopper} balls</button
      >
    {:else}
      {#if machine.stopped && !stands.running}<p role="status">It stopped: {machine.stopped}.</p>{/if}
      {#if stands.running}
        <button class="btn btn-primary" onclick={() => void gear.tell({ do: 'pause' })}
          >Pause the machine</button
        >
      {:else}
        <button class="btn btn-primary" disabled={!title || !running} onclick={() => void gear.start()}
          >Start the machine</button
        >
        <button class="btn" disabled={!title || !running} onclick={() => void gear.start(true)}
          >One ball</button
        >
        {#if !title}<p>Nothing is fed in this block.</p>{:else if !running && !machine.stopped}<p>
            It throws only while the lesson goes on.
          </p>{/if}
      {/if}
      <button
        class="btn"
        disabled={times >= 8}
        onclick={() => void gear.tell({ do: 'gap', times: times * step })}>Slower</button
      >
      <button
        class="btn"
        disabled={times <= 0.3}
        onclick={() => void gear.tell({ do: 'gap', times: times / step })}>Faster</button
      >
    {/if}
  </section>
{:else if planned}
  <section class="strip" aria-label="Ball machine">
    <p>{title} is planned with a ball machine.</p>
    <button class="btn" onclick={onjoin}>Join the ball machine</button>
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
      {#if tally?.thrown}
        <p>
          <span class="drum-digits">{tally.seen}</span> of
          <span class="drum-digits">{tally.thrown}</span> thrown were seen{#if tally.stray}; {tally.stray}
            more {tally.stray === 1 ? 'landing belongs' : 'landings belong'} to no ball{/if}.
        </p>
      {/if}
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
