<script lang="ts">
  import type { GameVersion } from '../../lib/api/client'
  import { courtsQuery } from '../../lib/page/data'
  import Count from './Count.svelte'
  import type { Desk } from './desk.svelte'
  import Phrase from './Phrase.svelte'
  import Pick from './Pick.svelte'
  import Sentence from './Sentence.svelte'
  import Tick from './Tick.svelte'

  /** How else a game can be played: another court with its ball, half of it, one side of the middle, other points. */
  interface Props {
    desk: Desk
  }
  let { desk }: Props = $props()
  const courts = courtsQuery()
  const fixed = $derived(desk.builtIn)
  const written = $derived(desk.draft.document)
  const list = $derived(written.versions ?? [])
  const shown = $derived(desk.asked.version ?? '')
  const own = $derived([
    { value: '', label: 'its own court' },
    ...(courts.data ?? [])
      .filter(({ id, sport }) => sport === written.sport && id !== written.court)
      .map(({ id, name }) => ({ value: id as string, label: name })),
  ])
  const change = (alter: (versions: GameVersion[]) => GameVersion[]) =>
    desk.draft.change((d) => {
      const versions = alter(d.versions ?? [])
      d.versions = versions.length ? versions : undefined
    })
  const set = (i: number, part: Partial<GameVersion>) =>
    change((versions) => versions.map((each, k) => (k === i ? { ...each, ...part } : each)))
  const show = (name: string) => (desk.asked.version = name || undefined)

  function rename(i: number, name: string) {
    if (list[i]?.name === shown) show(name)
    set(i, { name })
  }
  function takeOut(i: number) {
    if (list[i]?.name === shown) show('')
    change((versions) => versions.filter((_, k) => k !== i))
  }
</script>

<p class="hint text-sm">
  A version is chosen where the game is put into a lesson, or where it begins. Press one to see it on the
  court, with its score and its length.
</p>
<ul class="mt-2 grid gap-1">
  <li>
    <button class="btn btn-sm" aria-pressed={!shown} class:btn-primary={!shown} onclick={() => show('')}
      >as written</button
    >
  </li>
  {#each list as version, i (i)}
    {@const n = i + 1}
    <li class="version">
      <button
        class="btn btn-sm"
        aria-pressed={shown === version.name}
        class:btn-primary={shown === version.name}
        onclick={() => show(version.name)}>{version.name}</button
      >
      <Sentence {desk} path={`versions.${i}`} which="version {n}" ontakeout={() => takeOut(i)}>
        <Phrase
          label="Version {n}: name"
          wide="11rem"
          maxlength={60}
          value={version.name}
          disabled={fixed}
          onchange={(name) => rename(i, name)}
        />: on
        <Pick
          label="Version {n}: court"
          value={version.court ?? ''}
          options={own}
          disabled={fixed}
          onchange={(court) => set(i, { court: court || undefined })}
        />, every rally
        <Pick
          label="Version {n}: side of the middle"
          value={version.box ?? ''}
          options={[
            { value: '', label: 'as it is written' },
            { value: 'right', label: 'from the right of the middle' },
            { value: 'left', label: 'from the left of the middle' },
          ]}
          disabled={fixed}
          onchange={(box) => set(i, { box: box || undefined })}
        />, to <Count
          label="Version {n}: points of the near side"
          value={version.near ?? 0}
          disabled={fixed}
          onchange={(near) => set(i, { near: near || undefined })}
        />
        :
        <Count
          label="Version {n}: points of the far side"
          value={version.far ?? 0}
          disabled={fixed}
          onchange={(far) => set(i, { far: far || undefined })}
        /> (0: as it is written).
        <Tick
          label="on half of the court"
          checked={version.half}
          disabled={fixed}
          onchange={(half) => set(i, { half })}
        /></Sentence
      >
    </li>
  {/each}
</ul>
{#if !fixed && list.length < 8}
  <h2 class="mt-4 text-lg">Add one</h2>
  <div class="mt-1 flex flex-wrap gap-1">
    {#each desk.worked?.usual ?? [] as version (version.name)}
      <button class="btn btn-sm" onclick={() => change((versions) => [...versions, version])}
        >{version.name}</button
      >
    {/each}
  </div>
{/if}

<style>
  .version {
    padding-top: 0.4rem;
    border-top: 1px solid var(--color-base-300);
    line-height: 2.1;
  }
</style>
