<script lang="ts">
  import type { Profile, Sore } from '../../lib/api/client'
  import { vocabularyQuery } from '../../lib/page/data'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import TextField from '../../lib/fields/TextField.svelte'

  /** What hurts, and what that is spared: everything that proposes heeds what is ticked. */
  interface Props {
    profile: Profile
    errors: Record<string, string>
    onchange: (part: Pick<Profile, 'hurts' | 'sore'>) => void
  }
  let { profile, errors, onchange }: Props = $props()
  const vocabulary = vocabularyQuery()
  const words = $derived(vocabulary.data)
  const list = $derived(profile.sore ?? [])
  const most = 6
  type Strain = Sore['rests'][number]

  const keep = (sore: Sore[], hurts = profile.hurts) =>
    onchange({ hurts, sore: sore.length ? sore : undefined })
  const change = (i: number, part: Partial<Sore>) =>
    keep($state.snapshot(list).map((each, n) => (n === i ? { ...each, ...part } : each)))
  const proposed = (part: Sore['part']) => words?.parts.find((each) => each.part === part)?.proposed ?? []

  function add(text = '') {
    const part = text ? 'somewhere else' : 'shoulder'
    keep([...$state.snapshot(list), { part, words: text, rests: text ? [] : proposed(part) }], '')
  }
  function tick(i: number, strain: Strain, on: boolean) {
    const rests = (list[i]?.rests ?? []).filter((each) => each !== strain)
    change(i, { rests: on ? [...rests, strain] : rests })
  }
</script>

<fieldset class="grid gap-3 sm:col-span-2">
  <legend class="text-sm font-medium">What hurts</legend>
  {#if profile.hurts}
    <div class="bg-base-200 grid gap-2 rounded p-3" role="status">
      <p>
        “{profile.hurts}”: what shall it be spared? Until you say so, nothing is left out of what is proposed.
      </p>
      <p>
        <button type="button" class="btn btn-sm btn-outline" onclick={() => add(profile.hurts)}
          >Say what it is spared</button
        >
      </p>
    </div>
  {/if}
  {#each list as sore, i (i)}
    <div
      class="border-base-300 grid gap-3 border-l-4 pl-3 sm:grid-cols-3"
      role="group"
      aria-label="What hurts, {i + 1}"
    >
      <SelectField
        label="Where"
        value={sore.part}
        error={errors[`sore.${i}.part`]}
        options={words?.parts.map((each) => each.part) ?? [sore.part]}
        onchange={(part) => change(i, { part, rests: proposed(part) })}
      />
      <SelectField
        label="Side"
        value={sore.side ?? 'none'}
        options={[{ value: 'none', label: 'not said' }, ...(words?.sides ?? [])]}
        onchange={(side) => change(i, { side: side === 'none' ? undefined : side })}
      />
      <TextField
        label="Since"
        type="date"
        value={sore.since ?? ''}
        error={errors[`sore.${i}.since`]}
        onchange={(since) => change(i, { since: since || undefined })}
      />
      <div class="col-span-full">
        <TextField
          label="In your words"
          live
          value={sore.words}
          error={errors[`sore.${i}.words`]}
          onchange={(text) => change(i, { words: text })}
        />
      </div>
      <div class="col-span-full flex flex-wrap gap-x-5" role="group" aria-label="Spared">
        {#each words?.strains ?? [] as strain (strain)}
          <label class="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              class="checkbox"
              checked={sore.rests.includes(strain)}
              onchange={(event) => tick(i, strain, event.currentTarget.checked)}
            />
            {strain}
          </label>
        {/each}
      </div>
      <p class="col-span-full">
        <button type="button" class="btn btn-sm" onclick={() => keep(list.filter((_, n) => n !== i))}
          >It hurts no more<span class="sr-only">: {sore.part}</span></button
        >
      </p>
    </div>
  {/each}
  <p class="hint text-sm">
    What is ticked is left out of all that is proposed, and told where a plan asks for it. Proposed by part as
    common practice. Pain means stop; Hodometer is no medical advice.
  </p>
  {#if list.length < most && !profile.hurts}
    <p><button type="button" class="btn btn-sm" onclick={() => add()}>Something hurts</button></p>
  {/if}
</fieldset>
