<script lang="ts">
  import type { DrillDocument, Report, Vocabulary } from '../../../lib/api/client'
  import type { Draft } from '../../../lib/drafts/draft.svelte'
  import LengthField from '../../../lib/fields/LengthField.svelte'
  import NumberField from '../../../lib/fields/NumberField.svelte'
  import { levelsOf } from '../../../lib/page/data'
  import SelectField from '../../../lib/fields/SelectField.svelte'
  import Suits from './Suits.svelte'

  /** How the whole pattern runs: its feeding, order, turns, and a rally's rules. */
  interface Props {
    draft: Draft<DrillDocument>
    vocabulary: Vocabulary
    report: Report | undefined
    builtIn: boolean
  }
  let { draft, vocabulary, report, builtIn }: Props = $props()
  type Pattern = DrillDocument['pattern']
  type Rally = NonNullable<Pattern['rally']>
  const pattern = $derived(draft.document.pattern)
  const rally = $derived(pattern.rally)
  const errors = $derived(draft.fields)
  const set = (change: Partial<Pattern>) => draft.change((d) => Object.assign(d.pattern, change))
  const setRally = (change: Partial<Rally>) =>
    draft.change((d) => d.pattern.rally && Object.assign(d.pattern.rally, change))
</script>

<fieldset disabled={builtIn} class="fields mt-3">
  <legend class="sr-only">How the pattern runs</legend>
  <SelectField
    label="Written for"
    value={draft.document.level ?? 'club player'}
    options={levelsOf(vocabulary, draft.document.sport, draft.document.level ?? 'club player')}
    onchange={(level) => draft.change((d) => (d.level = level))}
  />
  <Suits document={draft.document} />
  {#if report && report.court.surfaces.length > 1}
    <SelectField
      label="Surface"
      value={draft.document.surface ?? report.court.surfaces[0] ?? ''}
      options={report.court.surfaces}
      onchange={(surface) => draft.change((d) => (d.surface = surface))}
    />
  {/if}
  <SelectField
    label="Fed by"
    value={pattern.method}
    options={vocabulary.methods.filter((method) => method !== 'answer')}
    onchange={(method) => set({ method })}
  />
  <SelectField
    label="Order"
    value={pattern.order ?? 'as listed'}
    options={vocabulary.orders}
    onchange={(order) => set({ order })}
  />
  <SelectField
    label="A turn ends"
    value={pattern.ends ?? 'after a count'}
    options={vocabulary.endings}
    onchange={(ends) =>
      set({
        ends,
        maxSequences: ends === 'after a random count' ? pattern.sequences + 2 : undefined,
        on: ends === 'by the clock' ? 20 : undefined,
      })}
  />
  {#if pattern.ends === 'by the clock'}
    <NumberField
      label="Work in each sequence"
      unit="s"
      min={1}
      value={pattern.on ?? 20}
      error={errors['pattern.on'] ?? errors['pattern.ends']}
      onchange={(on) => set({ on })}
    />
  {/if}
  {#if pattern.ends === 'after a random count'}
    <NumberField
      label="Sequences at most"
      value={pattern.maxSequences ?? 0}
      error={errors['pattern.maxSequences']}
      onchange={(maxSequences) => set({ maxSequences })}
    />
  {/if}
  {#if !rally}
    <SelectField
      label="Players get back"
      value={pattern.back ?? 'all the way'}
      options={vocabulary.backs}
      onchange={(back) => set({ back: back === 'all the way' ? undefined : back })}
    />
  {/if}
  <SelectField
    label="The next one starts"
    value={pattern.next ?? 'when the last one has finished'}
    options={vocabulary.nexts}
    onchange={(next) => set({ next, overlap: next === 'while the last one is finishing' ? 2 : undefined })}
  />
  {#if pattern.next === 'while the last one is finishing'}
    <NumberField
      label="That much before the end"
      unit="s"
      step={0.5}
      value={pattern.overlap ?? 0}
      error={errors['pattern.overlap']}
      onchange={(overlap) => set({ overlap })}
    />
  {/if}
  {#if pattern.order && pattern.order !== 'as listed'}
    <NumberField
      label="Order number"
      value={pattern.seed ?? 0}
      error={errors['pattern.seed']}
      onchange={(seed) => set({ seed })}
    />
  {/if}
  <label class="flex items-center gap-2 self-end pb-2 text-sm">
    <input
      type="checkbox"
      class="checkbox checkbox-sm"
      checked={Boolean(rally)}
      onchange={(event) => set({ rally: event.currentTarget.checked ? report?.rally : undefined })}
    />
    each reply is the next feed
  </label>
  {#if rally}
    <SelectField
      label="The student plays"
      value={rally.near}
      options={vocabulary.directions}
      onchange={(near) => setRally({ near })}
    />
    <SelectField
      label="The other end plays"
      value={rally.far}
      options={vocabulary.directions}
      onchange={(far) => setRally({ far })}
    />
    <SelectField
      label="At the other end"
      value={rally.pair ? 'two' : 'one'}
      options={['one', 'two']}
      onchange={(n) => setRally({ pair: n === 'two' || undefined })}
    />
    <SelectField
      label="Pace"
      value={rally.pace ?? 'rally pace'}
      options={vocabulary.paces}
      onchange={(pace) => setRally({ pace })}
    />
    <NumberField
      label="Shots of a rally"
      value={rally.shots}
      error={errors['pattern.rally.shots']}
      onchange={(shots) => setRally({ shots })}
    />
    <LengthField
      label="Inside the baseline"
      metres={rally.deep}
      error={errors['pattern.rally.deep']}
      onchange={(deep) => setRally({ deep })}
    />
    <LengthField
      label="Inside the sideline"
      metres={rally.wide}
      error={errors['pattern.rally.wide']}
      onchange={(wide) => setRally({ wide })}
    />
  {/if}
</fieldset>
