<script lang="ts">
  import type { Settings } from '../../lib/api/client'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import LengthField from '../../lib/fields/LengthField.svelte'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import SaveState from '../../lib/drafts/SaveState.svelte'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import NextSteps from './NextSteps.svelte'
  import OwnRegions from './OwnRegions.svelte'
  import { theme } from '../../lib/page/theme.svelte'

  const air = [
    { key: 'celsius', label: 'Air', unit: '°C' },
    { key: 'altitude', label: 'Above the sea', unit: 'm' },
    { key: 'across', label: 'Wind to the student’s right', unit: 'm/s' },
    { key: 'along', label: 'Wind away from the student', unit: 'm/s' },
  ] as const

  interface Props {
    read: Settings
  }
  let { read }: Props = $props()
  const revision = $derived({ document: read.settings, revision: read.revision })
  // One draft for as long as the page is open.
  // svelte-ignore state_referenced_locally
  const draft = drafts.open('settings', 'coach', revision)
  $effect(() => draft.offer(revision))
  const settings = $derived(draft.document)
</script>

<section class="sheet mt-4 max-w-2xl">
  <SaveState {draft} />
  <div class="mt-3 grid gap-4 sm:grid-cols-2">
    <SelectField
      label="Lengths in"
      value={settings.units}
      options={[
        { value: 'metres', label: 'metres and centimetres' },
        { value: 'feet', label: 'feet and inches' },
      ]}
      onchange={(units) => draft.change((d) => (d.units = units))}
    />
    <SelectField
      label="In rallies players get back"
      value={settings.recovery ?? 'to the base position'}
      options={['to the base position', 'to the middle']}
      hint="The base position is half-way to where the next ball comes."
      onchange={(recovery) => draft.change((d) => (d.recovery = recovery))}
    />
    <NumberField
      label="Balls in a basket"
      unit="balls"
      value={settings.basket}
      error={draft.fields.basket}
      onchange={(basket) => draft.change((d) => (d.basket = basket))}
    />
    <NumberField
      label="Full baskets you have"
      unit="baskets"
      min={1}
      value={settings.baskets}
      error={draft.fields.baskets}
      onchange={(baskets) => draft.change((d) => (d.baskets = baskets))}
    />
    <NumberField
      label="Shuttles in a tube"
      unit="shuttles"
      min={0}
      value={settings.tube ?? 12}
      error={draft.fields.tube}
      onchange={(tube) => draft.change((d) => (d.tube = tube))}
    />
    <NumberField
      label="Full tubes you have"
      unit="tubes"
      min={0}
      value={settings.tubes ?? 8}
      error={draft.fields.tubes}
      onchange={(tubes) => draft.change((d) => (d.tubes = tubes))}
    />
    <NumberField
      label="Balls for the table in a box"
      unit="balls"
      min={0}
      value={settings.box ?? 100}
      error={draft.fields.box}
      onchange={(box) => draft.change((d) => (d.box = box))}
    />
    <NumberField
      label="Full boxes you have"
      unit="boxes"
      min={0}
      value={settings.boxes ?? 1}
      error={draft.fields.boxes}
      onchange={(boxes) => draft.change((d) => (d.boxes = boxes))}
    />
    <NumberField
      label="Picking up one ball"
      unit="s a person"
      step={0.5}
      value={settings.pickUp}
      error={draft.fields.pickUp}
      onchange={(pickUp) => draft.change((d) => (d.pickUp = pickUp))}
    />
    <NumberField
      label="Walking from block to block"
      unit="s"
      step={5}
      value={settings.changeOver}
      error={draft.fields.changeOver}
      onchange={(changeOver) => draft.change((d) => (d.changeOver = changeOver))}
    />
    <NumberField
      label="Putting down or collecting one piece"
      unit="s"
      value={settings.piece}
      error={draft.fields.piece}
      onchange={(piece) => draft.change((d) => (d.piece = piece))}
    />
    <NumberField
      label="Tolerable wait in a line"
      unit="s"
      step={5}
      value={settings.wait}
      error={draft.fields.wait}
      onchange={(wait) => draft.change((d) => (d.wait = wait))}
    />
    <LengthField
      label="Your step"
      metres={settings.step}
      error={draft.fields.step}
      onchange={(step) => draft.change((d) => (d.step = step))}
    />
    <SelectField
      label="Walk-off lists in"
      value={settings.inSteps ? 'steps' : 'lengths'}
      options={['lengths', 'steps']}
      onchange={(v) => draft.change((d) => (d.inSteps = v === 'steps'))}
    />
    <SelectField
      label="A circle of 4 ft is"
      value={settings.within}
      options={[
        { value: 'radius', label: '4 ft to each side of the mark' },
        { value: 'diameter', label: '4 ft across' },
      ]}
      onchange={(within) => draft.change((d) => (d.within = within))}
    />
    <SelectField
      label="Depth regions are numbered"
      value={settings.numbering}
      options={['from the net out', 'from the baseline in']}
      onchange={(numbering) => draft.change((d) => (d.numbering = numbering))}
    />
    <SelectField
      label="Your own feeding is"
      value={settings.feeding}
      options={['very steady', 'usual', 'wild']}
      hint="Decides how often a ball that is just in reach is reached."
      onchange={(feeding) => draft.change((d) => (d.feeding = feeding))}
    />
    {#each air as part (part.key)}
      <NumberField
        label={part.label}
        unit={part.unit}
        value={settings.air[part.key]}
        error={draft.fields[`air.${part.key}`]}
        onchange={(value) => draft.change((d) => (d.air[part.key] = value))}
      />
    {/each}
  </div>
</section>
<NextSteps {draft} />
<OwnRegions {draft} />
<section class="sheet mt-4 max-w-2xl">
  <h2>This device</h2>
  <button class="btn mt-2" onclick={() => theme.toggle()}
    >{theme.current === 'chalk'
      ? 'Change to floodlit, for the evening'
      : 'Change to chalk, for daylight'}</button
  >
</section>
<p class="mt-4"><a class="link" href="#/about">About Hodometer: version and licences</a></p>
<p class="hint mt-4 max-w-2xl text-sm">
  Hodometer is no medical advice. Local safeguarding, club and federation rules and licensed practice come
  first; pain means stop.
</p>
