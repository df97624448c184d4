<script lang="ts">
  import type { Finding } from '../../lib/api/client'
  import type { Planner } from './planner.svelte'

  /** What the plan gives to think about, with what can be done about it; it is hushed for a reason. */
  interface Props {
    finding: Finding
    planner: Planner
  }
  let { finding, planner }: Props = $props()
  const blocks = $derived(planner.document.blocks)
  let asking = $state(false)
  let why = $state('')

  function hush(event: SubmitEvent) {
    event.preventDefault()
    if (!why.trim()) return
    asking = false
    void planner.hush(finding, why.trim())
    why = ''
  }
  const signs = { problem: '✕', warning: '!', note: 'i' }
  const about = $derived(blocks.find((b) => b.id === finding.block)?.title)
  /** Which of the blocks of one title it is, where there are several. */
  const which = $derived.by(() => {
    const alike = blocks.filter((b) => b.title === about)
    const at = alike.findIndex((b) => b.id === finding.block)
    return alike.length > 1 && at >= 0 ? `${about}, no. ${at + 1}` : ''
  })
</script>

<div class="flex gap-3">
  <span class="sign {finding.severity}" aria-hidden="true">{signs[finding.severity]}</span>
  <div>
    <p>
      <span class="sr-only">{finding.severity}: </span>{finding.reason}
      {#if which}<span class="hint">({which})</span>{/if}
    </p>
    {#if finding.hushed}
      <p class="hint text-sm">
        Left as it is: {finding.hushed}.
        <button class="link" onclick={() => void planner.hush(finding, '')}>Tell it again</button>
      </p>
    {:else}
      <div class="mt-1 flex flex-wrap items-center gap-2">
        {#each finding.remedies as remedy, i (i)}
          <button class="btn btn-sm h-auto py-1" onclick={() => void planner.edit(remedy.edit)}
            >{remedy.label}{#if about}<span class="sr-only"> ({about})</span>{/if}</button
          >
        {/each}
        {#if finding.severity !== 'problem' && !asking}
          <button
            class="link text-sm"
            onclick={() => (asking = true)}
            aria-label="Leave it as it is: {about ?? 'the lesson'}">Leave it</button
          >
        {/if}
      </div>
      {#if asking}
        <form class="mt-1 flex flex-wrap items-center gap-2" onsubmit={hush}>
          <input
            class="input input-sm w-64 max-w-full"
            aria-label="Why it is left as it is"
            placeholder="why it is right so"
            maxlength="200"
            bind:value={why}
          />
          <button class="btn btn-sm" type="submit" disabled={!why.trim()}>Leave it</button>
          <button class="link text-sm" type="button" onclick={() => (asking = false)}>No</button>
        </form>
      {/if}
    {/if}
  </div>
</div>

<style>
  .sign {
    flex: none;
    width: 1.5rem;
    height: 1.5rem;
    display: grid;
    place-items: center;
    font-weight: 700;
    border: 2px solid currentColor;
  }
  .problem {
    color: var(--color-error);
  }
  .warning {
    color: var(--color-warning);
    border-radius: 50%;
  }
  .note {
    color: var(--color-info);
    border-radius: 5px;
  }
</style>
