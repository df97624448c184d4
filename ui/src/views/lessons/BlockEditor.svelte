<script lang="ts">
  import type { Block, Stretch, Working } from '../../lib/api/client'
  import NumberField from '../../lib/NumberField.svelte'
  import TextField from '../../lib/TextField.svelte'
  import WorkingDialog from '../../lib/WorkingDialog.svelte'

  interface Props {
    block: Block
    stretch: Stretch | undefined
    errors: Record<string, string>
    /** Where the block stands in the document, for its errors. */
    path: string
    first: boolean
    last: boolean
    onchange: (part: Partial<Block>) => void
    onmove: (by: number) => void
    onremove: () => void
  }
  let { block, stretch, errors, path, first, last, onchange, onmove, onremove }: Props = $props()
  let open = $state<Working | null>(null)

  const error = (field: string) => errors[`${path}.${field}`]
  const callError = (i: number) => errors[`${path}.calls.${i}.minute`] ?? errors[`${path}.calls.${i}.say`]
  const roles = (text: string) =>
    text
      .split(',')
      .map((role) => role.trim())
      .filter(Boolean)

  function call(i: number, part: Partial<Block['calls'][number]>) {
    onchange({ calls: block.calls.map((c, j) => (j === i ? { ...c, ...part } : { ...c })) })
  }
</script>

<section class="sheet" aria-labelledby="block-title">
  <div class="flex flex-wrap items-center gap-2">
    <h2 id="block-title">{block.title}</h2>
    <span class="hint text-sm">{block.kind}</span>
    <div class="ml-auto flex gap-1">
      <button class="btn btn-sm" disabled={first} onclick={() => onmove(-1)}>Earlier</button>
      <button class="btn btn-sm" disabled={last} onclick={() => onmove(1)}>Later</button>
      <button class="btn btn-sm" onclick={onremove}>Take out</button>
    </div>
  </div>
  {#if stretch}
    <p class="mt-1">
      From {stretch.clock}: <strong class:text-error={stretch.over > 0}>{stretch.fits}</strong>.
      <button class="link text-sm" onclick={() => (open = stretch.time)}>How this came about</button>
    </p>
  {/if}
  <div class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
    <div class="col-span-2">
      <TextField
        label="Block title"
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
      onchange={(minutes) => onchange({ minutes })}
    />
    <NumberField
      label="Effort out of 10"
      value={block.effort}
      error={error('effort')}
      onchange={(effort) => onchange({ effort })}
    />
    {#if block.kind === 'drill' && stretch?.load}
      <NumberField
        label="Turns each"
        value={stretch.load.turns}
        error={error('turns')}
        onchange={(turns) => onchange({ turns })}
      />
      <p class="col-span-2 self-end pb-2 text-sm">
        <a class="link" href="#/drills/{block.drill}">Open the drill</a>
      </p>
    {/if}
    {#if block.kind === 'ball warm-up'}
      <div class="col-span-2">
        <TextField
          label="Roles, with commas"
          value={block.roles.join(', ')}
          error={error('roles') ?? error('roles.0') ?? error('roles.1')}
          onchange={(text) => onchange({ roles: roles(text) })}
        />
      </div>
      <NumberField
        label="Swap after"
        unit="min"
        step={0.5}
        value={block.swap ?? 1}
        error={error('swap')}
        onchange={(swap) => onchange({ swap })}
      />
    {/if}
  </div>
  {#if block.kind !== 'drill' && block.kind !== 'break'}
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
          <TextField label="Say" value={each.say} error={callError(i)} onchange={(say) => call(i, { say })} />
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
            { minute: Math.min((block.calls.at(-1)?.minute ?? -1) + 1, block.minutes - 0.5), say: 'Change' },
          ],
        })}>Add a call</button
    >
  {/if}
</section>
<WorkingDialog working={open} onclose={() => (open = null)} />
