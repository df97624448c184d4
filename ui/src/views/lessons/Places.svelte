<script lang="ts">
  import type { Block, RotationForm, ScheduledBlock, Vocabulary } from '../../lib/api/client'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import { elapsed, lasting } from '../../lib/words/words'
  import TextField from '../../lib/fields/TextField.svelte'
  import Ring from './Ring.svelte'
  import { spotsOf, textOf } from './spots'

  interface Props {
    block: Block
    scheduled: ScheduledBlock | undefined
    /** What to call people on court, by identifier. */
    shorts: Record<string, string>
    vocabulary: Vocabulary | undefined
    errors: Record<string, string>
    path: string
    onchange: (part: Partial<Block>) => void
  }
  let { block, scheduled, shorts, vocabulary, errors, path, onchange }: Props = $props()
  const form = $derived(block.rotation)
  const named = $derived(form && ['roles', 'spots', 'stations'].includes(form.kind))
  const table = $derived(scheduled?.table)
  /** Whether balls are known, and not only minutes. */
  const counted = $derived(table?.people.some((p) => p.balls > 0))
  const people = $derived((scheduled?.people ?? []).map((id) => shorts[id] ?? ''))
  const error = (field: string) =>
    errors[`${path}.rotation.${field}`] ??
    Object.entries(errors).find(([key]) => key.startsWith(`${path}.rotation.${field}.`))?.[1]
  let round = $state(0)
  // Once it is open it stays so, whatever becomes of the table.
  // svelte-ignore state_referenced_locally
  let changing = $state(!scheduled?.table)
  const shown = $derived(Math.min(round, (table?.rounds.length ?? 1) - 1))

  const set = (part: Partial<RotationForm>) =>
    form && onchange({ rotation: { ...$state.snapshot(form), ...part } as RotationForm })

  const still = 'nobody changes places'
  const kinds: Record<string, string> = {
    roles: 'roles are swapped',
    spots: 'one spot to the right',
    stations: 'from station to station',
  }

  function choose(kind: string) {
    if (kind === still) onchange({ rotation: undefined, step: undefined })
    else
      onchange({
        rotation: {
          every: 2,
          ...$state.snapshot(form),
          kind: kind as RotationForm['kind'],
          spots: form?.spots.length
            ? $state.snapshot(form.spots)
            : [{ name: 'plays' }, { name: 'feeds', feeds: true }],
        },
      })
  }

  /** What a person does in a round, short enough for a cell. */
  function cell(round: number, person: number) {
    const seat = table?.rounds[round]?.seats.find((s) => s.person === person)
    if (!seat) return ''
    if (seat.waits) return 'waits'
    const against = form?.kind === 'everybody plays everybody' ? `v ${who(seat.against[0])}` : seat.spot
    return seat.where ? `${against} (${seat.where})` : against
  }
  const who = (person: number | undefined) => (person === -1 ? 'Coach' : (people[person ?? 0] ?? ''))
</script>

{#if scheduled?.group}<p class="mt-3">{scheduled.group}</p>{/if}
{#if scheduled?.load && scheduled.load.people > 1}
  <p class="mt-1 text-sm">
    Each plays {scheduled.strikes} and waits {Math.round(scheduled.load.waiting)} s between two turns.
  </p>
{/if}
{#if table && table.rounds.length}
  <p class="mt-3 font-medium">{table.sentence}</p>
  <div class="mt-2 flex flex-col gap-4">
    <Ring {table} {people} round={shown} />
    <div class="min-w-0 overflow-x-auto">
      <table class="table-xs table">
        <caption class="sr-only">Who is where in each round</caption>
        <thead>
          <tr>
            <th scope="col">From</th>
            <th scope="col" class="text-right">played</th>
            <th scope="col" class="text-right">waited</th>
            {#if counted}<th scope="col" class="text-right">strokes</th>{/if}
            {#each table.rounds as each, i (i)}
              <th scope="col" class="p-0">
                <button
                  class="btn btn-xs btn-ghost tabular-nums"
                  aria-pressed={shown === i}
                  class:btn-active={shown === i}
                  aria-label="Show the round from {elapsed(each.start)}"
                  onclick={() => (round = i)}>{elapsed(each.start)}</button
                >
              </th>
            {/each}
          </tr>
        </thead>
        <tbody>
          {#each people as name, person (person)}
            <tr>
              <th scope="row">{name}</th>
              <td class="text-right tabular-nums">{lasting(table.people[person]?.played ?? 0)}</td>
              <td class="text-right tabular-nums">{lasting(table.people[person]?.waited ?? 0)}</td>
              {#if counted}<td class="text-right tabular-nums">{table.people[person]?.balls}</td>{/if}
              {#each table.rounds.keys() as i (i)}
                {@const text = cell(i, person)}
                <td class="whitespace-nowrap" class:waits={text === 'waits'} class:now={shown === i}
                  >{text}</td
                >
              {/each}
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  </div>
{/if}
<details class="mt-3" bind:open={changing}>
  <summary class="cursor-pointer py-1 text-sm font-semibold">How places change</summary>
  <div class="mt-2">
    <div class="grid grid-cols-2 gap-3">
      <div class="col-span-2">
        <SelectField
          label="Places"
          value={form?.kind ?? still}
          options={[
            { value: still, label: still },
            ...(vocabulary?.rotations ?? []).map((kind) => ({ value: kind, label: kinds[kind] ?? kind })),
          ]}
          onchange={choose}
        />
      </div>
      {#if form}
        <NumberField
          label="A round lasts"
          unit={form.count ? form.of : 'min'}
          step={form.count ? 1 : 0.5}
          value={form.count || form.every || 0}
          error={error('every') ?? error('count')}
          onchange={(n) => set(form.count ? { count: n } : { every: n })}
        />
        <SelectField
          label="counted in"
          value={form.count ? (form.of ?? 'points') : 'minutes'}
          options={['minutes', ...(vocabulary?.counted ?? [])]}
          error={error('of')}
          onchange={(of) =>
            set(
              of === 'minutes'
                ? { every: 2, count: undefined, of: undefined }
                : { count: 4, of: of as 'balls' },
            )}
        />
        {#if named}
          <div class="col-span-2">
            <TextField
              label={form.kind === 'stations' ? 'Stations' : form.kind === 'roles' ? 'Roles' : 'Spots'}
              hint="With semicolons. “net: left” puts left on the net side; “feeds*” hits no balls that count."
              value={textOf(form.spots)}
              error={error('spots')}
              onchange={(text) => set({ spots: spotsOf(text) })}
            />
          </div>
        {/if}
        {#if form.kind !== 'stations'}
          <NumberField
            label="Side by side"
            value={form.courts ?? 0}
            unit={form.courts ? '' : '= as many as fit'}
            min={0}
            error={error('courts')}
            onchange={(courts) => set({ courts })}
          />
        {/if}
        {#if form.kind === 'spots' || form.kind === 'roles'}
          <SelectField
            label="Partners"
            value={form.mix ? 'change most' : 'stay neighbours'}
            options={['stay neighbours', 'change most']}
            onchange={(v) => set({ mix: v === 'change most' })}
          />
          <SelectField
            label="Who begins"
            value={form.begins ?? 'left open'}
            options={['left open', ...(vocabulary?.begins ?? [])]}
            onchange={(v) => set({ begins: v === 'left open' ? undefined : (v as RotationForm['begins']) })}
          />
        {/if}
      {/if}
      <div class="col-span-2">
        <TextField
          label="Those who wait"
          hint="Left empty: on deck, feet moving"
          value={block.onDeck ?? ''}
          error={errors[`${path}.onDeck`]}
          onchange={(text) => onchange({ onDeck: text || undefined })}
        />
      </div>
    </div>
  </div>
</details>

<style>
  .waits {
    background: repeating-linear-gradient(
      135deg,
      transparent 0 5px,
      color-mix(in oklab, var(--color-base-content) 12%, transparent) 5px 7px
    );
  }
  .now {
    box-shadow:
      inset 2px 0 var(--color-primary),
      inset -2px 0 var(--color-primary);
  }
</style>
