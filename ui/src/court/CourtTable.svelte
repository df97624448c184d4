<script lang="ts">
  import type { Report } from '../lib/api/client'
  import { sign } from './view'

  /** The same as the drawing, in words; with onplace it can change everything that the drawing can. */
  interface Props {
    report: Report
    /** Errors by path. */
    errors?: Record<string, string>
    /** A place or a length was typed, in words. */
    ontype?: (path: string, text: string) => void
    onremove?: (handle: string) => void
  }
  let { report, errors = {}, ontype, onremove }: Props = $props()
  const wrong = (path: string) =>
    Object.entries(errors).find(([at]) => at === path || at.startsWith(`${path}.`))?.[1]
  /** Only what the pattern and the start do not need can be taken away. */
  const removable = (label: string) => !/^(start|feeder|ball|target|no-go)/.test(label)
  const words = {
    in: 'inside',
    out: 'behind or outside',
    near: 'this side of',
    far: 'beyond',
    left: 'left of',
    right: 'right of',
  }
</script>

<table class="table-sm table">
  <caption class="sr-only">Places on {report.court.name}, left and right as the near player sees them</caption
  >
  <thead>
    <tr><th scope="col">Sign</th><th scope="col">What</th><th scope="col">Where</th></tr>
  </thead>
  <tbody>
    {#each report.spots as spot (spot.handle)}
      <tr>
        <td class="drum-digits">{sign(spot.handle, spot.label)}</td>
        <th scope="row" class="font-normal">
          {spot.label}
          {#if onremove && removable(spot.label)}
            <button class="link block text-sm" onclick={() => onremove(spot.handle)}
              >take away<span class="sr-only"> {spot.label}, {spot.said}</span></button
            >
          {/if}
        </th>
        <td>
          {#if ontype && spot.offsets.length}
            <div class="flex flex-col gap-1">
              {#each spot.offsets as offset, i (i)}
                {@const path = `${spot.handle}.measures.${i}`}
                <label class="flex flex-wrap items-center gap-2">
                  <input
                    class="input input-sm w-32"
                    class:input-error={wrong(path)}
                    value={offset.text}
                    aria-label="{spot.label}, {offset.toward
                      ? words[offset.toward]
                      : 'of the way from'} the {offset.line}"
                    aria-invalid={Boolean(wrong(path))}
                    autocomplete="off"
                    onchange={(event) => ontype(path, event.currentTarget.value)}
                  />
                  <span aria-hidden="true"
                    >{offset.toward ? words[offset.toward] : 'of the way from'} the {offset.line}</span
                  >
                </label>
                {#if wrong(path)}<p class="text-error text-sm" role="alert">{wrong(path)}</p>{/if}
              {/each}
            </div>
            <span class="sr-only">{spot.said}</span>
          {:else}
            {spot.said}
          {/if}
          {#if wrong(spot.handle) && !spot.offsets.some((_, i) => wrong(`${spot.handle}.measures.${i}`))}
            <p class="text-error" role="alert">{wrong(spot.handle)}</p>
          {/if}
        </td>
      </tr>
    {/each}
  </tbody>
</table>
