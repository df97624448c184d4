<script lang="ts">
  import Marks from './Marks.svelte'

  /** How engaged somebody felt, and how hard it was. */
  interface Props {
    /** Undefined where none was given. */
    engagement: number | undefined
    effort: number | undefined
    errors?: Record<string, string>
    onengagement: (mark: number) => void
    oneffort: (mark: number) => void
  }
  let { engagement, effort, errors = {}, onengagement, oneffort }: Props = $props()
</script>

<Marks
  label="How engaged they felt, out of ten"
  least={1}
  value={engagement}
  error={errors.engagement}
  onpick={onengagement}
/>
<Marks
  label="How hard it felt: 0 is rest, 10 all there was"
  least={0}
  value={effort}
  error={errors.effort}
  onpick={oneffort}
/>
