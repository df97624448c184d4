<script lang="ts">
  import type { DrillDocument } from '../../../lib/api/client'
  import type { Draft } from '../../../lib/drafts/draft.svelte'
  import SelectField from '../../../lib/fields/SelectField.svelte'

  /** On which side an obstacle is passed, and on which runs it is in the way. */
  interface Props {
    draft: Draft<DrillDocument>
    /** Its number among the places, from 0. */
    place: number
  }
  let { draft, place }: Props = $props()
  const obstacle = $derived(draft.document.places[place])
</script>

<SelectField
  label="Run round it on the"
  value={obstacle?.around ?? 'either'}
  options={['either', 'left', 'right']}
  onchange={(around) => draft.change((d) => d.places[place] && (d.places[place].around = around))}
/>
<SelectField
  label="It is in the way"
  value={obstacle?.leg ?? ''}
  options={[
    { value: '', label: 'out and back' },
    { value: 'on the way out', label: 'on the way out' },
    { value: 'on the way back', label: 'on the way back' },
  ]}
  onchange={(leg) => draft.change((d) => d.places[place] && (d.places[place].leg = leg || undefined))}
/>
