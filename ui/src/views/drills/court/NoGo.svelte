<script lang="ts">
  import type { DrillDocument, Report } from '../../../lib/api/client'
  import type { Draft } from '../../../lib/drafts/draft.svelte'

  /** Lines that no ball may cross, and areas where none may land. */
  interface Props {
    draft: Draft<DrillDocument>
    report: Report
  }
  let { draft, report }: Props = $props()
  let chosen = $state('area')
  const list = $derived(draft.document.noGo ?? [])
  const lineName = (id: string) => report.court.lines.find((line) => line.id === id)?.name ?? id

  function add(event: SubmitEvent) {
    event.preventDefault()
    const c = report.measures.find((m) => m.target)?.target?.centre ?? { x: 0, y: report.court.length / 4 }
    const area = { kind: 'circle' as const, radius: 0.8, mark: { place: { x: -c.x, y: c.y } } }
    draft.change((d) => (d.noGo = [...(d.noGo ?? []), chosen === 'area' ? { area } : { line: chosen }]))
  }
</script>

<form class="mt-3 flex flex-wrap items-center gap-2" onsubmit={add}>
  <select class="select select-sm w-56 max-w-full" aria-label="Where no ball may go" bind:value={chosen}>
    <option value="area">no ball may land in a circle</option>
    {#each report.court.lines as line (line.id)}<option value={line.id}>no ball over the {line.name}</option
      >{/each}
  </select>
  <button class="btn btn-sm" type="submit">Forbid it</button>
</form>
{#if list.length}
  <ul class="mt-2 flex flex-col gap-1">
    {#each list as noGo, i (i)}
      <li class="flex items-center gap-3">
        <span>{noGo.line ? `No ball over the ${lineName(noGo.line)}` : 'No ball in the hatched circle'}</span>
        <button class="link text-sm" onclick={() => draft.change((d) => d.noGo?.splice(i, 1))}
          >allow it again</button
        >
      </li>
    {/each}
  </ul>
{/if}
