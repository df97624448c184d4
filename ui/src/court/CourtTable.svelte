<script lang="ts">
  import type { Report, Reference } from '../lib/api/client'
  import Reword from './Reword.svelte'
  import { sign } from './view'

  /** The same as the drawing, in words; with ontype it can change everything that the drawing can. */
  interface Props {
    report: Report
    /** Errors by path. */
    errors?: Record<string, string>
    /** A place or a length was typed, in words. */
    ontype?: (path: string, text: string) => void
    /** A place is to be said in another way. */
    onreword?: (handle: string, wording: Reference) => void
    onremove?: (handle: string) => void
  }
  let { report, errors = {}, ontype, onreword, onremove }: Props = $props()
  const wrong = (path: string) =>
    Object.entries(errors).find(([at]) => at === path || at.startsWith(`${path}.`))?.[1]
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
        <td class="drum-digits align-top">{sign(spot)}</td>
        <th scope="row" class="align-top font-normal">
          {spot.label}
          {#if onremove && spot.removable}
            <button class="link block text-sm" onclick={() => onremove(spot.handle)}
              >take away<span class="sr-only"> {spot.label}, {spot.description}</span></button
            >
          {/if}
        </th>
        <td>
          {#if ontype}
            <div class="flex flex-col gap-1">
              {#each spot.parts as part (part.path)}
                {@const path = `${spot.handle}.${part.path}`}
                <label class="flex flex-wrap items-center gap-2">
                  <input
                    class="input input-sm w-32"
                    class:input-error={wrong(path)}
                    value={part.text}
                    aria-label="{spot.label}, {part.after}"
                    aria-invalid={Boolean(wrong(path))}
                    autocomplete="off"
                    onchange={(event) => ontype(path, event.currentTarget.value)}
                  />
                  <span aria-hidden="true">{part.after}</span>
                </label>
                {#if wrong(path)}<p class="text-error text-sm" role="alert">{wrong(path)}</p>{/if}
              {/each}
            </div>
            <span class="sr-only">{spot.description}</span>
            {#if onreword}<Reword
                {spot}
                court={report.court}
                onreword={(wording) => onreword(spot.handle, wording)}
              />{/if}
          {:else}
            {spot.description}
          {/if}
          {#if wrong(spot.handle) && !(ontype && spot.parts.some( (part) => wrong(`${spot.handle}.${part.path}`) ))}
            <p class="text-error" role="alert">{wrong(spot.handle)}</p>
          {/if}
        </td>
      </tr>
    {/each}
  </tbody>
</table>
