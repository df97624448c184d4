<script lang="ts">
  import type { Block, Plan } from '../../lib/api/client'

  type Remedy = Plan['findings'][number]['remedies'][number]
  interface Props {
    findings: Plan['findings']
    blocks: Block[]
    onremedy: (remedy: Remedy) => void
  }
  let { findings, blocks, onremedy }: Props = $props()
  const signs = { problem: '✕', warning: '!', note: 'i' }
  const titleOf = (block?: string) => blocks.find((b) => b.id === block)?.title
</script>

<section class="sheet" aria-labelledby="findings">
  <h2 id="findings">What fits and what does not</h2>
  <ul class="mt-2 flex flex-col gap-3">
    {#each findings as finding (finding.reason)}
      <li class="flex gap-3">
        <span class="sign {finding.severity}" aria-hidden="true">{signs[finding.severity]}</span>
        <div>
          <p><span class="sr-only">{finding.severity}: </span>{finding.reason}</p>
          {#if finding.remedies.length}
            <div class="mt-1 flex flex-wrap gap-2">
              {#each finding.remedies as remedy (remedy.label)}
                <button class="btn btn-sm" onclick={() => onremedy(remedy)}
                  >{remedy.label}<span class="sr-only"> ({titleOf(remedy.block)})</span></button
                >
              {/each}
            </div>
          {/if}
        </div>
      </li>
    {:else}
      <li>Everything fits.</li>
    {/each}
  </ul>
  <p class="hint mt-3 text-sm">
    No medical advice; local safeguarding, club and federation rules come first.
  </p>
</section>

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
