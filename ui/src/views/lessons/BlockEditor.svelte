<script lang="ts">
  import type { Block, ScheduledBlock, Vocabulary, Derivation } from '../../lib/api/client'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import TextField from '../../lib/fields/TextField.svelte'
  import DerivationDialog from '../../lib/parts/DerivationDialog.svelte'
  import Expected from './Expected.svelte'
  import FindingItem from './FindingItem.svelte'
  import { keyed } from './findings'
  import Places from './Places.svelte'
  import type { Planner } from './planner.svelte'
  import Variants from './Variants.svelte'

  interface Props {
    planner: Planner
    block: Block
    scheduled: ScheduledBlock | undefined
    names: Record<string, string>
    vocabulary: Vocabulary | undefined
  }
  let { planner, block, scheduled, names, vocabulary }: Props = $props()
  const shorts = $derived(Object.fromEntries(planner.plan.budgets.map((b) => [b.student, b.short])))
  let open = $state<Derivation | null>(null)
  let tab = $state<'block' | 'places' | 'players'>('block')

  /** Blocks in which a drill can be what is counted. */
  const counted = $derived(
    vocabulary?.playedAs.some((each) => each.kind === block.kind && !each.drilled) ?? false,
  )
  const findings = $derived(planner.plan.findings.filter((each) => each.block === block.id))
  const errors = $derived(planner.draft.fields)
  const path = $derived(`blocks.${planner.at}`)
  const first = $derived(planner.at === 0)
  const last = $derived(planner.at === planner.document.blocks.length - 1)
  const error = (field: string) => errors[`${path}.${field}`]
  const callError = (i: number) => errors[`${path}.calls.${i}.minute`] ?? errors[`${path}.calls.${i}.text`]
  const onchange = (part: Partial<Block>) => planner.set(block.id, part)
  const tabs = $derived([
    { key: 'block' as const, label: 'The block' },
    { key: 'places' as const, label: 'Who is where' },
    ...(scheduled?.load ? [{ key: 'players' as const, label: 'Each player' }] : []),
  ])
  const shown = $derived(tabs.some((t) => t.key === tab) ? tab : 'block')

  function call(i: number, part: Partial<Block['calls'][number]>) {
    onchange({ calls: block.calls.map((c, j) => (j === i ? { ...c, ...part } : { ...c })) })
  }
</script>

<section class="sheet" aria-labelledby="block-title">
  <div class="flex flex-wrap items-center gap-2">
    <h2 id="block-title">{block.title}</h2>
    <span class="hint text-sm">{block.kind}</span>
    <div class="ml-auto flex flex-wrap gap-1">
      <button
        class="btn btn-sm"
        aria-pressed={block.pinned ?? false}
        onclick={() => void planner.pin(block.id)}>{block.pinned ? 'Unpin' : 'Pin'}</button
      >
      <button class="btn btn-sm" disabled={first} onclick={() => void planner.move(block.id, -1)}
        >Earlier</button
      >
      <button class="btn btn-sm" disabled={last} onclick={() => void planner.move(block.id, 1)}>Later</button>
      {#if block.drill && !counted}
        <button class="btn btn-sm" onclick={() => (planner.adding = { kind: 'swap', block: block.id })}
          >Swap</button
        >
      {/if}
      <button class="btn btn-sm" onclick={() => void planner.takeOut(block.id)}>Take out</button>
    </div>
  </div>
  {#if scheduled}
    <p class="mt-1">
      From {scheduled.clock}: <strong class:text-error={scheduled.over > 0}>{scheduled.fits}</strong>.
      <button class="link text-sm" onclick={() => (open = scheduled.time)}>How this came about</button>
    </p>
  {/if}
  {#if scheduled?.game}
    {@const game = scheduled.game}
    <details class="mt-1">
      <summary class="cursor-pointer"
        >{game.name}: {game.minutes.low80.toFixed(0)} to {game.minutes.high80.toFixed(0)} min, four times of five
        {scheduled.group && `; ${scheduled.group}`}</summary
      >
      <ul class="list-disc pl-5 text-sm">
        {#each game.rules as rule, i (i)}<li>{rule}</li>{/each}
      </ul>
      <a class="link text-sm" href="#/games/{game.id}">Open the game</a>
    </details>
  {/if}
  {#if findings.length}
    <ul class="mt-2 flex flex-col gap-2" aria-label="What is to be thought of in this block">
      {#each keyed(findings) as { key, finding } (key)}
        <li><FindingItem {finding} {planner} /></li>
      {/each}
    </ul>
  {/if}
  <div class="mt-2 flex flex-wrap gap-1" role="tablist" aria-label="About this block">
    {#each tabs as each (each.key)}
      <button
        class="btn btn-sm"
        class:btn-neutral={shown === each.key}
        role="tab"
        aria-selected={shown === each.key}
        onclick={() => (tab = each.key)}>{each.label}</button
      >
    {/each}
  </div>
  {#if shown === 'places'}
    <div class="mt-3" role="tabpanel" aria-label="Who is where">
      <Places {block} {scheduled} {shorts} {vocabulary} {errors} {path} {onchange} />
    </div>
  {:else if shown === 'players' && scheduled}
    <div class="mt-3" role="tabpanel" aria-label="Each player">
      <Variants {planner} {block} {scheduled} {names} {vocabulary} {errors} {path} />
    </div>
  {:else}
    <div class="mt-3" role="tabpanel" aria-label="The block">
      <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <div class="col-span-2">
          <TextField
            label="Block title"
            live
            value={block.title}
            error={error('title')}
            onchange={(title) => onchange({ title })}
          />
        </div>
        <NumberField
          label="Minutes"
          unit="min"
          step={0.5}
          value={block.minutes}
          error={error('minutes')}
          onchange={(minutes) => void planner.edit({ kind: 'resize', block: block.id, minutes, on: true })}
        />
        <NumberField
          label="Effort out of 10"
          value={block.effort}
          error={error('effort')}
          onchange={(effort) => onchange({ effort })}
        />
        {#if scheduled?.versions.length}
          <SelectField
            label="Version"
            value={scheduled.version ?? 'as written'}
            options={scheduled.versions}
            error={error('version')}
            onchange={(text) => void planner.edit({ kind: 'version', block: block.id, text })}
          />
        {/if}
        {#if scheduled?.load}
          <NumberField
            label="Turns each"
            value={scheduled.load.turns}
            error={error('turns')}
            onchange={(turns) => onchange({ turns })}
          />
          <NumberField
            label="Lines"
            min={1}
            value={block.lines ?? 1}
            error={error('lines')}
            onchange={(lines) => onchange({ lines })}
          />
          <SelectField
            label="Played as"
            value={block.kind}
            options={(vocabulary?.playedAs ?? []).map(({ kind, label }) => ({ value: kind, label }))}
            onchange={(kind) => onchange({ kind })}
          />
        {/if}
        {#if counted}
          <div class="flex flex-col gap-1">
            <span class="text-sm font-medium">Counted by</span>
            <span class="flex flex-wrap items-center gap-2">
              {#if block.drill}<a class="link" href="#/drills/{block.drill}">a drill</a>{:else}nothing yet{/if}
              <button class="btn btn-sm" onclick={() => (planner.adding = { kind: 'count', block: block.id })}
                >Choose<span class="sr-only"> by which drill it is counted</span></button
              >
              {#if block.drill}
                <button class="btn btn-sm" onclick={() => onchange({ drill: undefined, turns: undefined })}
                  >Not counted</button
                >
              {/if}
            </span>
            {#if error('drill')}<span class="text-error text-sm" role="alert">{error('drill')}</span>{/if}
          </div>
        {/if}
        {#if scheduled?.load}
          <p class="self-end pb-2 text-sm">
            <a class="link" href="#/drills/{block.drill}">Open the drill</a>
          </p>
        {/if}
      </div>
      <Expected
        lesson={planner.id}
        block={block.id}
        students={planner.plan.prospects.find((each) => each.block === block.id)?.students ?? []}
      />
      <details class="mt-3">
        <summary class="cursor-pointer py-1 text-sm font-semibold">How it may be fitted</summary>
        <div class="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-5">
          <NumberField
            label="Wanted"
            unit="min"
            step={0.5}
            min={0}
            value={block.wanted || block.minutes}
            error={error('wanted')}
            onchange={(wanted) => onchange({ wanted })}
          />
          <NumberField
            label="At least"
            unit={block.min ? 'min' : 'min, 0 = usual'}
            step={0.5}
            min={0}
            value={block.min ?? 0}
            error={error('min')}
            onchange={(min) => onchange({ min })}
          />
          <NumberField
            label="At most"
            unit={block.max ? 'min' : 'min, 0 = usual'}
            step={0.5}
            min={0}
            value={block.max ?? 0}
            error={error('max')}
            onchange={(max) => onchange({ max })}
          />
          <SelectField
            label="Comes in"
            value={block.step ?? 'any length'}
            options={vocabulary?.steps ?? ['any length']}
            error={error('step')}
            onchange={(step) => onchange({ step: step === 'any length' ? undefined : step })}
          />
          <SelectField
            label="Its minutes matter"
            value={String(block.weight ?? 0)}
            options={[
              { value: '0', label: 'as usual' },
              { value: '1', label: 'little' },
              { value: '3', label: 'more' },
              { value: '5', label: 'most' },
            ]}
            onchange={(weight) => onchange({ weight: Number(weight) || undefined })}
          />
        </div>
      </details>
      {#if (!block.drill || counted) && block.kind !== 'break'}
        <h3 class="mt-4 text-sm font-semibold">What to call, and when</h3>
        <ol class="mt-1 flex flex-col gap-2">
          {#each block.calls as each, i (i)}
            <li class="grid grid-cols-[6.5rem_1fr_auto] items-start gap-2">
              <NumberField
                label="At minute"
                value={each.minute}
                step={0.5}
                onchange={(minute) => call(i, { minute })}
              />
              <TextField
                label="Say"
                value={each.text}
                error={callError(i)}
                onchange={(text) => call(i, { text })}
              />
              <button
                class="btn btn-sm mt-7"
                onclick={() => onchange({ calls: block.calls.filter((_, j) => j !== i) })}
                >Drop<span class="sr-only"> call {i + 1}</span></button
              >
            </li>
          {/each}
        </ol>
        <button
          class="btn btn-sm mt-2"
          onclick={() =>
            onchange({
              calls: [
                ...block.calls,
                {
                  minute: Math.min((block.calls.at(-1)?.minute ?? -1) + 1, block.minutes - 0.5),
                  text: 'Change',
                },
              ],
            })}>Add a call</button
        >
      {/if}
    </div>
  {/if}
</section>
<DerivationDialog derivation={open} onclose={() => (open = null)} />
