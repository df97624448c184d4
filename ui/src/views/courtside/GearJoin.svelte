<script lang="ts">
  import TextField from '../../lib/fields/TextField.svelte'
  import type { Gear, Kind } from './gear.svelte'

  /** Joins a ball machine and an eye for landings, or lets them go. */
  interface Props {
    gear: Gear
    open: boolean
  }
  let { gear, open = $bindable() }: Props = $props()
  const kinds: { kind: Kind; label: string }[] = [
    { kind: 'machine', label: 'Ball machine' },
    { kind: 'eye', label: 'Eye for landings' },
  ]
  /** Where the simulated ones listen when they are started by hand. */
  let addresses = $state<Record<Kind, string>>({ machine: '127.0.0.1:7501', eye: '127.0.0.1:7502' })

  async function both() {
    for (const { kind } of kinds) await gear.simulate(kind)
  }
</script>

<details class="mb-3" bind:open>
  <summary class="min-h-11 cursor-pointer py-2">Ball machine and eye for landings</summary>
  {#if !gear.machine && !gear.eye}
    <button class="btn mt-1 w-full" onclick={() => void both()}
      >Try it with a simulated machine and eye</button
    >
  {/if}
  {#each kinds as { kind, label } (kind)}
    {@const joined = gear[kind]}
    <div class="mt-2 grid gap-2" role="group" aria-label={label}>
      {#if joined}
        <p>{joined.name}, {joined.lost ? `lost: ${joined.lost}` : 'joined'}</p>
        <button class="btn" onclick={() => void gear.leave(kind)}>Let the {label.toLowerCase()} go</button>
      {:else}
        <TextField
          label="{label}: where it listens"
          value={addresses[kind]}
          onchange={(address) => (addresses[kind] = address)}
        />
        <div class="flex flex-wrap gap-2">
          <button class="btn" onclick={() => void gear.join(kind, addresses[kind])}
            >Join<span class="sr-only"> the {label.toLowerCase()}</span></button
          >
          <button class="btn" onclick={() => void gear.simulate(kind)}
            >A simulated one<span class="sr-only">: {label.toLowerCase()}</span></button
          >
        </div>
      {/if}
    </div>
  {/each}
</details>
