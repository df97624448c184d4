<script lang="ts">
  import type { Block, Finding, LessonChange } from '../../lib/api/client'

  interface Props {
    finding: Finding
    blocks: Block[]
    onremedy: (change: LessonChange) => void
  }
  let { finding, blocks, onremedy }: Props = $props()
  const signs = { problem: '✕', warning: '!', note: 'i' }
  const about = $derived(blocks.find((b) => b.id === finding.block)?.title)
</script>

<div class="flex gap-3">
  <span class="sign {finding.severity}" aria-hidden="true">{signs[finding.severity]}</span>
  <div>
    <p><span class="sr-only">{finding.severity}: </span>{finding.reason}</p>
    {#if finding.remedies.length}
      <div class="mt-1 flex flex-wrap gap-2">
        {#each finding.remedies as remedy (remedy.label)}
          <button class="btn btn-sm h-auto py-1" onclick={() => onremedy(remedy.change)}
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
