<script lang="ts">
  import type { Afterwards, Closing } from '../../lib/api/client'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import SaveState from '../../lib/drafts/SaveState.svelte'
  import TextField from '../../lib/fields/TextField.svelte'
  import Against from './Against.svelte'
  import BothMarks from './BothMarks.svelte'

  /** What happened against the plan, and the closing talk; it can be finished later. */
  interface Props {
    lesson: string
    data: Afterwards
  }
  let { lesson, data }: Props = $props()
  // What was said stays the same while the page is open.
  // svelte-ignore state_referenced_locally
  const draft = drafts.open('closing', lesson, { document: data.closing, revision: 0 })
  const said = $derived(draft.document)
  const keep = (part: Partial<Closing>) => draft.change((d) => Object.assign(d, part))
  const marked = (block: string) => said.blocks.find((each) => each.block === block)

  function mark(block: string, part: Partial<Closing['blocks'][number]>) {
    draft.change((d) => {
      const found = d.blocks.find((each) => each.block === block)
      if (found) Object.assign(found, part)
      else d.blocks.push({ block, engagement: 0, ...part })
    })
  }
</script>

<section class="sheet" aria-labelledby="ending">
  <div class="flex flex-wrap items-baseline gap-3">
    <h2 id="ending">How it went</h2>
    <SaveState {draft} />
  </div>
  {#if data.against.length}<Against {lesson} against={data.against} />{/if}
  <div class="mt-3 grid gap-3">
    <TextField
      label="What happened against the plan"
      live
      rows={2}
      value={said.happened}
      error={draft.fields.happened}
      onchange={(happened) => keep({ happened })}
    />
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField
        label="The talk: what worked today?"
        live
        rows={2}
        value={said.worked}
        error={draft.fields.worked}
        onchange={(worked) => keep({ worked })}
      />
      <TextField
        label="And what comes next?"
        live
        rows={2}
        value={said.next}
        error={draft.fields.next}
        onchange={(next) => keep({ next })}
      />
    </div>
    {#if data.against.length}
      <details>
        <summary class="cursor-pointer text-sm">Marks of single blocks</summary>
        <div class="mt-2 grid gap-4">
          {#each data.against.filter((each) => each.ran > 0) as each (each.block)}
            <fieldset class="grid gap-2">
              <legend class="font-medium">{each.title}</legend>
              <BothMarks
                engagement={marked(each.block)?.engagement || undefined}
                effort={marked(each.block)?.effort}
                onengagement={(engagement) => mark(each.block, { engagement })}
                oneffort={(effort) => mark(each.block, { effort })}
              />
            </fieldset>
          {/each}
        </div>
      </details>
    {/if}
    <label class="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        class="checkbox"
        checked={said.done}
        onchange={(event) => keep({ done: event.currentTarget.checked })}
      />
      That is all of this lesson{said.done ? '' : '; until then Today reminds you of it'}
    </label>
  </div>
</section>
