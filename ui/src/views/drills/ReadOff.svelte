<script lang="ts">
  import type { DrillDocument, Moved } from '../../lib/api/client'
  import type { Draft } from '../../lib/drafts/draft.svelte'
  import PassBy from './PassBy.svelte'

  /** What the place that is being dragged would be, right below the court. */
  interface Props {
    moved: Moved | undefined
    draft: Draft<DrillDocument>
    /** The sign that was pressed last. */
    pressed: string
  }
  let { moved, draft, pressed }: Props = $props()
  /** The obstacle that was pressed, among the places. */
  const obstacle = $derived(
    [Number(/^places\.(\d+)\.mark$/.exec(pressed)?.[1] ?? -1)].find(
      (i) => draft.document.places[i]?.kind === 'obstacle',
    ),
  )
  /** The measure whose target is being dragged. */
  const measure = $derived(
    moved?.measures[Number(/^measures\.(\d+)/.exec(moved.spot?.handle ?? '')?.[1] ?? -1)],
  )
</script>

{#if obstacle !== undefined}
  <div class="grid grid-cols-2 gap-2"><PassBy {draft} place={obstacle} /></div>
{:else if moved?.spot}
  <p><strong class="font-medium">{moved.spot.label}</strong>: {moved.spot.description}</p>
  {#if measure}
    <p>{measure.measured.map((part) => `${part.name} ${part.value}`).join(', ')}</p>
  {/if}
{:else}
  <p class="hint">
    Press where the next ball shall land. Drag a sign, or choose it and use the arrow keys; Shift for small
    steps.
  </p>
{/if}
