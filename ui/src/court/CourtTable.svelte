<script lang="ts">
  import type { Report } from '../lib/api/client'

  /** The same as the drawing, in words. */
  interface Props {
    report: Report
    /** Handles are paths into the document; errors by path. */
    errors?: Record<string, string>
  }
  let { report, errors = {} }: Props = $props()
  const sign = (handle: string, label: string) =>
    handle.startsWith('pattern')
      ? String(Number(handle.split('.').at(-1)) + 1)
      : label === 'target'
        ? '+'
        : label[0]?.toUpperCase()
  const wrong = (handle: string) => Object.entries(errors).find(([path]) => path.startsWith(handle))?.[1]
</script>

<table class="table-sm table">
  <caption class="sr-only">Places on {report.court.name}, left and right as the student sees them</caption>
  <thead>
    <tr><th scope="col">Sign</th><th scope="col">What</th><th scope="col">Where</th></tr>
  </thead>
  <tbody>
    {#each report.spots as spot (spot.handle)}
      <tr>
        <td class="drum-digits">{sign(spot.handle, spot.label)}</td>
        <th scope="row" class="font-normal">{spot.label}</th>
        <td>
          {spot.said}
          {#if wrong(spot.handle)}<p class="text-error" role="alert">{wrong(spot.handle)}</p>{/if}
        </td>
      </tr>
    {/each}
  </tbody>
</table>
