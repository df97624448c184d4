<script lang="ts">
  import type { Block, Finding, LessonEdit } from '../../lib/api/client'

  interface Props {
    finding: Finding
    blocks: Block[]
    onremedy: (change: LessonEdit) => void
  }
  let { finding, blocks, onremedy }: Props = $props()
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
    {#if finding.remedies.length}
      <div class="mt-1 flex flex-wrap gap-2">
        {#each finding.remedies as remedy, i (i)}
          <button class="btn btn-sm h-auto py-1" onclick={() => onremedy(remedy.edit)}
            >{remedy.label}{#if about}<span class="sr-only"> ({about})</span>{/if}</button
          >
        {/each}
      </div>
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
