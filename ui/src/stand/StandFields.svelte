<script lang="ts">
  import type { Court, StandAsked } from '../lib/api/client'
  import SelectField from '../lib/fields/SelectField.svelte'
  import { levelsOf, vocabularyQuery } from '../lib/page/data'
  import { placeRefused, schools, type Standing } from './standing'

  /** What is asked about where to stand: the court, the situation, and who the two players are. */
  type Known = Pick<StandAsked, 'situation'>
  interface Props {
    asked: Standing
    courts: Court[]
    situations: Known[]
    /** The situation that is shown. */
    chosen: Known | undefined
    /** The court is given by what it is shown in. */
    fixed: boolean
    /** Without who the players are. */
    brief: boolean
    /** It is worked out for a student, who has a level and a hand. */
    known: boolean
    errors: Record<string, string>
    /** Another situation or court was chosen. */
    onchosen: () => void
  }
  let { asked, courts, situations, chosen, fixed, brief, known, errors, onchosen }: Props = $props()
  const vocabulary = vocabularyQuery()
  const sport = $derived((courts.find((each) => each.id === asked.court) ?? courts[0])?.sport)

  function choose(id: string) {
    asked.situation = id
    onchosen()
  }

  function another(id: string) {
    asked.court = id
    choose('')
  }
</script>

<div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
  {#if !fixed}
    <div class="col-span-2">
      <SelectField
        label="Court"
        value={asked.court}
        options={courts.map((each) => ({ value: each.id, label: each.name }))}
        error={errors.court}
        onchange={another}
      />
    </div>
  {/if}
  <div class="col-span-2" class:wide={fixed}>
    <SelectField label="You go" value={asked.school} options={schools} onchange={(v) => (asked.school = v)} />
  </div>
  <div class="wide">
    <SelectField
      label="The opponent is"
      value={chosen?.situation.id ?? ''}
      options={situations.map((each) => ({ value: each.situation.id, label: each.situation.name }))}
      error={placeRefused(errors)}
      onchange={choose}
    />
  </div>
  {#if !brief}
    {#if !known}
      <SelectField
        label="You are"
        value={asked.level}
        options={levelsOf(vocabulary.data, sport, asked.level)}
        onchange={(level) => (asked.level = level)}
      />
      <SelectField
        label="Your hand"
        value={asked.hand}
        options={vocabulary.data?.hands ?? [asked.hand]}
        onchange={(hand) => (asked.hand = hand)}
      />
    {/if}
    <SelectField
      label="They are"
      value={asked.opponent}
      options={levelsOf(vocabulary.data, sport, asked.opponent)}
      onchange={(level) => (asked.opponent = level)}
    />
    <SelectField
      label="Their hand"
      value={asked.theirHand}
      options={vocabulary.data?.hands ?? [asked.theirHand]}
      onchange={(hand) => (asked.theirHand = hand)}
    />
  {/if}
</div>

<style>
  .wide {
    grid-column: 1 / -1;
  }
</style>
