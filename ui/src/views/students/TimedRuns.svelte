<script lang="ts">
  import type { Profile, Progress } from '../../lib/api/client'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import TextField from '../../lib/fields/TextField.svelte'

  /** How quick a student is taken to be, and the runs that say so. */
  interface Props {
    profile: Profile
    /** What the runs that are saved make of it. */
    running?: Progress['running']
    /** The day it is. */
    today: string
    errors: Record<string, string>
    onchange: (timed: NonNullable<Profile['timed']>) => void
  }
  let { profile, running, today, errors, onchange }: Props = $props()
  type Run = NonNullable<Profile['timed']>[number]
  const runs = $derived(profile.timed ?? [])
  const kinds = $derived(running?.kinds ?? [])
  let kind = $state<Run['kind']>('sprint of 10 m')
  let seconds = $state(0)
  let wrong = $state('')
  const expected = $derived(kinds.find((each) => each.kind === kind))

  function add() {
    wrong = seconds > 0 ? '' : 'say how many seconds it took'
    if (wrong) return
    onchange([...runs, { kind, seconds, on: today }])
    seconds = 0
  }
</script>

{#if running}<p class="mt-1">{running.say}</p>{/if}
<ul class="mt-2 flex flex-col gap-2">
  {#each runs as run, i (i)}
    <li class="flex flex-wrap items-end gap-3">
      <span class="flex-1">{run.kind}: <strong class="font-medium">{run.seconds} s</strong></span>
      <div class="w-40">
        <TextField
          label="On"
          type="date"
          value={run.on}
          error={errors[`timed.${i}.on`] ?? errors[`timed.${i}.seconds`]}
          onchange={(on) => onchange(runs.map((each, n) => (n === i ? { ...each, on } : each)))}
        />
      </div>
      <button
        class="btn btn-sm"
        aria-label="Take out the {run.kind} of {run.on}"
        onclick={() => onchange(runs.filter((_, n) => n !== i))}>Take out</button
      >
    </li>
  {/each}
</ul>
<div class="mt-3 grid items-end gap-3 sm:grid-cols-[minmax(0,1fr)_8rem_auto]">
  <SelectField
    label="Run"
    value={kind}
    options={kinds.map((each) => ({
      value: each.kind,
      label: each.kind.startsWith('sprint')
        ? each.kind
        : `${each.kind} (${Math.round(10 * each.metres) / 10} m)`,
    }))}
    onchange={(chosen) => (kind = chosen)}
  />
  <NumberField
    label="Took"
    unit="s"
    step={0.1}
    min={0}
    value={seconds}
    error={wrong}
    onchange={(value) => (seconds = value)}
  />
  <button class="btn" onclick={add}>Add the run</button>
</div>
{#if expected}<p class="hint mt-1 text-sm">
    From the first step, with a watch. Now {expected.seconds.toFixed(1)} s would be expected; two runs of different
    length tell the start and the top speed apart, and a run counts half after half a year. Warm up first; pain
    means stop.
  </p>{/if}
