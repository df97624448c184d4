<script lang="ts">
  import type { StudentsRead } from '../../../lib/api/client'
  import SelectField from '../../../lib/fields/SelectField.svelte'

  /** How the days of a table are read that can be read in two ways. */
  interface Props {
    example: string
    reading: Pick<StudentsRead, 'dates' | 'datesTold'>
    onchange: (dates: StudentsRead['dates']) => void
  }
  let { example, reading, onchange }: Props = $props()
</script>

<SelectField
  label="Days such as {example} are"
  value={reading.dates}
  options={[
    { value: 'day first', label: '4 May: day first' },
    { value: 'month first', label: '5 April: month first' },
  ]}
  hint={reading.datesTold ? undefined : 'The table does not tell: look at it.'}
  {onchange}
/>
