<script lang="ts">
  import type { GameRules } from '../../lib/api/client'
  import Count from './Count.svelte'
  import type { Desk } from './desk.svelte'
  import Pick from './Pick.svelte'
  import { among } from './choices'

  /** How a game ends, as a sentence with choices in it. */
  interface Props {
    desk: Desk
  }
  let { desk }: Props = $props()
  const rules = $derived(desk.rules)
  const fixed = $derived(desk.builtIn)
  const end = (change: Partial<GameRules['end']>) => desk.change((r) => Object.assign(r.end, change))
  const some = (n: number) => n || undefined
  const unit = $derived(rules.mini ? 'little matches' : 'rallies')
</script>

<p>
  {#if rules.score}
    To <Count
      label="Points of a player"
      value={rules.end.near ?? 0}
      disabled={fixed}
      onchange={(n) => end({ near: some(n), far: some(n) })}
    /> points of one player (0: none)
  {:else}
    The near side needs <Count
      label="Points of the near side"
      value={rules.end.near ?? 0}
      disabled={fixed}
      onchange={(n) => end({ near: some(n), ...(n !== rules.end.far ? { winBy: undefined } : {}) })}
    />, the far side <Count
      label="Points of the far side"
      value={rules.end.far ?? 0}
      disabled={fixed}
      onchange={(n) => end({ far: some(n), ...(n !== rules.end.near ? { winBy: undefined } : {}) })}
    /> points (0: none){#if rules.end.near && rules.end.near === rules.end.far},
      <Pick
        label="Ahead"
        value={String(rules.end.winBy ?? 1)}
        options={[
          { value: '1', label: 'one ahead' },
          { value: '2', label: 'two ahead' },
        ]}
        disabled={fixed}
        onchange={(by) =>
          end({ winBy: by === '2' ? 2 : undefined, cap: by === '2' ? rules.end.cap : undefined })}
      />{#if rules.end.winBy === 2}, at <Count
          label="At so many points one ahead is enough"
          value={rules.end.cap ?? 0}
          max={120}
          disabled={fixed}
          onchange={(n) => end({ cap: some(n) })}
        /> one is enough (0: never){/if}{/if}{/if}. It is over after <Count
    label="Over after so many rallies"
    value={rules.end.rallies ?? 0}
    max={200}
    disabled={fixed}
    onchange={(n) => end({ rallies: some(n) })}
  />
  {unit}{#if rules.rotation.every}, <Count
      label="Over after so many rounds"
      value={rules.end.rounds ?? 0}
      max={24}
      disabled={fixed}
      onchange={(n) => end({ rounds: some(n) })}
    /> rounds{/if} or
  <Count
    label="Over after so many minutes"
    value={rules.end.minutes ?? 0}
    max={90}
    disabled={fixed}
    onchange={(n) => end({ minutes: some(n) })}
  /> minutes (0: not so).
</p>
{#each among(desk.errors, 'rules.end') as message (message)}<p class="text-error text-sm" role="alert">
    {message}
  </p>{/each}
