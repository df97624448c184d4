<script lang="ts">
  import SelectField from '../../lib/fields/SelectField.svelte'
  import type { Voice } from './voice.svelte'

  /** How the lesson is called: aloud, by tones, by shaking; tried once before it begins. */
  interface Props {
    voice: Voice
  }
  let { voice }: Props = $props()
  const wanted = $derived(voice.wanted)
  const english = $derived(voice.voices.filter(({ lang }) => lang.startsWith('en')))
  const choices = $derived(english.length ? english : voice.voices)
  const rates = [0.8, 1, 1.2, 1.4]
</script>

{#snippet tick(label: string, checked: boolean, onset: (is: boolean) => void)}
  <label class="line"
    ><input
      type="checkbox"
      class="checkbox"
      {checked}
      onchange={(event) => onset(event.currentTarget.checked)}
    />
    {label}</label
  >
{/snippet}

<fieldset class="grid gap-1">
  <legend class="text-lg font-semibold">Calls</legend>
  {@render tick('Said aloud', wanted.aloud, (aloud) => voice.want({ aloud }))}
  {#if wanted.aloud && voice.mute}<p class="text-sm" role="status">
      This device has no voice: tones stand in for it, and the call is on the screen.
    </p>{/if}
  {#if wanted.aloud && !voice.mute}
    <div class="grid grid-cols-2 gap-3">
      <SelectField
        label="Voice"
        value={wanted.voice}
        options={[
          { value: '', label: 'of this device' },
          ...choices.map(({ voiceURI, name }) => ({ value: voiceURI, label: name })),
        ]}
        onchange={(voiceURI) => voice.want({ voice: voiceURI })}
      />
      <SelectField
        label="How fast"
        value={String(wanted.rate)}
        options={rates.map((rate) => ({
          value: String(rate),
          label: rate === 1 ? 'as it is' : rate < 1 ? 'slower' : `${rate} times`,
        }))}
        onchange={(rate) => voice.want({ rate: Number(rate) })}
      />
    </div>
  {/if}
  {@render tick('Tones, and a gong at the end of a block', wanted.tones, (tones) => voice.want({ tones }))}
  {@render tick('The phone shakes', wanted.buzz, (buzz) => voice.want({ buzz }))}
  <button
    type="button"
    class="btn mt-1 justify-self-start"
    onclick={() => voice.call([{ text: 'Forehand side. Ten seconds', sign: 'end' }])}>Try it</button
  >
</fieldset>

<style>
  .line {
    display: flex;
    align-items: center;
    gap: 0.75rem;
    min-height: 44px;
  }
</style>
