<script lang="ts">
  import type { Counter, LessonEdit } from '../../lib/api/client'

  /** What can be changed in the drill that is on, one press each. */
  interface Props {
    can: Counter['can']
    onadjust: (change: Pick<LessonEdit, 'step' | 'size'>) => void
  }
  let { can, onadjust }: Props = $props()
  const larger = 1.25
  const smaller = 0.8
</script>

{#if can.wing || can.fewer || can.size}
  <section class="mb-5" aria-labelledby="spot-title">
    <h2 id="spot-title" class="text-lg">This drill, from now on</h2>
    <div class="mt-1 grid grid-cols-2 gap-2">
      {#if can.wing}<button class="btn" onclick={() => onadjust({ step: { kind: 'other wing' } })}
          >Other wing</button
        >{/if}
      {#if can.fewer}<button class="btn" onclick={() => onadjust({ step: { kind: 'drop a task' } })}
          >One ball fewer</button
        >{/if}
      {#if can.size}
        <button class="btn" onclick={() => onadjust({ size: larger })}>Larger target</button>
        <button class="btn" onclick={() => onadjust({ size: smaller })}>Smaller target</button>
      {/if}
    </div>
    <p class="hint mt-1 text-sm">What was counted so far stays what it was; it is counted anew.</p>
  </section>
{/if}

<style>
  .btn {
    min-height: 56px;
  }
</style>
