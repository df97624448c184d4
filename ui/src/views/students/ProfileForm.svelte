<script lang="ts">
  import type { Profile } from '../../lib/api/client'
  import { levelsOf, vocabularyQuery } from '../../lib/page/data'
  import NumberField from '../../lib/fields/NumberField.svelte'
  import SelectField from '../../lib/fields/SelectField.svelte'
  import TextField from '../../lib/fields/TextField.svelte'
  import Sore from './Sore.svelte'

  interface Props {
    profile: Profile
    errors: Record<string, string>
    onchange: (profile: Profile) => void
  }
  let { profile, errors, onchange }: Props = $props()
  const set = (part: Partial<Profile>) => onchange({ ...$state.snapshot(profile), ...part })
  const watch = (i: number, text: string) =>
    set({
      watch: [profile.watch?.[0] ?? '', profile.watch?.[1] ?? '']
        .map((fault, n) => (n === i ? text.trim() : fault))
        .filter(Boolean),
    })
  const vocabulary = vocabularyQuery()
  const words = $derived(vocabulary.data)
  type LimitOf = NonNullable<Profile['limit']>['of']

  function limit(of: LimitOf | 'none') {
    set({ limit: of === 'none' ? undefined : { of, max: profile.limit?.max ?? 30 } })
  }
</script>

<div class="grid gap-4 sm:grid-cols-2">
  <TextField label="Name" live value={profile.name} error={errors.name} onchange={(name) => set({ name })} />
  <SelectField
    label="Sport"
    value={profile.sport}
    error={errors.sport}
    options={words?.sports.map((each) => each.sport) ?? [profile.sport]}
    onchange={(sport) => set({ sport })}
  />
  <SelectField
    label="Level or ball stage"
    value={profile.level}
    error={errors.level}
    options={levelsOf(words, profile.sport, profile.level)}
    onchange={(level) => set({ level })}
  />
  <SelectField
    label="Age"
    value={profile.age}
    error={errors.age}
    options={words?.ages ?? [profile.age]}
    onchange={(age) => set({ age })}
  />
  <TextField
    label="Birthday"
    type="date"
    value={profile.born ?? ''}
    error={errors.born}
    hint="Only where you want it kept: the age is enough."
    onchange={(born) => set({ born: born || undefined })}
  />
  <SelectField
    label="Racket hand"
    value={profile.hand}
    error={errors.hand}
    options={words?.hands ?? [profile.hand]}
    onchange={(hand) => set({ hand })}
  />
  <SelectField
    label="Backhand"
    value={profile.backhand}
    error={errors.backhand}
    options={words?.backhands ?? [profile.backhand]}
    onchange={(backhand) => set({ backhand })}
  />
  <TextField
    label="Works towards"
    live
    value={profile.objective}
    error={errors.objective}
    onchange={(objective) => set({ objective })}
  />
  <div class="grid grid-cols-2 gap-2">
    <SelectField
      label="Limit in a lesson"
      value={profile.limit?.of ?? 'none'}
      options={[{ value: 'none', label: 'no limit' }, 'overheads', 'serves', 'balls']}
      onchange={limit}
    />
    {#if profile.limit}
      <NumberField
        label="At most"
        value={profile.limit.max}
        error={errors['limit.max']}
        onchange={(max) => profile.limit && set({ limit: { of: profile.limit.of, max } })}
      />
    {/if}
  </div>
  {#each [profile.watch?.[0] ?? '', profile.watch?.[1] ?? ''] as fault, i (i)}
    <TextField
      label={i === 0 ? 'Fault to watch' : 'A second fault to watch'}
      value={fault}
      error={errors[`watch.${i}`]}
      onchange={(text) => watch(i, text)}
    />
  {/each}
  <Sore {profile} {errors} onchange={set} />
  <div class="sm:col-span-2">
    <TextField
      label="Note"
      live
      rows={2}
      value={profile.note}
      error={errors.note}
      onchange={(note) => set({ note })}
    />
  </div>
</div>
