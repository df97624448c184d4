<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, type Game, type GameDocument } from '../../lib/api/client'
  import { drafts } from '../../lib/drafts/drafts.svelte'
  import Drums from '../../lib/parts/Drums.svelte'
  import InWords from '../../lib/fields/InWords.svelte'
  import { notices } from '../../lib/parts/notice.svelte'
  import SaveState from '../../lib/drafts/SaveState.svelte'
  import Tabs from '../../lib/parts/Tabs.svelte'
  import TextField from '../../lib/fields/TextField.svelte'
  import Begin from '../../game/Begin.svelte'
  import { Desk } from './desk.svelte'
  import GameCourt from '../../game/GameCourt.svelte'
  import { duplicate, keep } from './keep'
  import RuleSentences from './RuleSentences.svelte'
  import TryIt from './TryIt.svelte'
  import Versions from './Versions.svelte'

  /** The game desk: the rules as sentences, the start places on the court, what comes of it at the foot. */
  interface Props {
    game: Game
  }
  let { game }: Props = $props()
  const client = useQueryClient()
  // The desk is made anew for every game.
  // svelte-ignore state_referenced_locally
  const { id, builtIn } = game
  // svelte-ignore state_referenced_locally
  const draft = drafts.open('game', id, game)
  $effect(() => draft.offer(game))
  const desk = new Desk(id, draft, builtIn)
  const document = $derived($state.snapshot(draft.document) as GameDocument)
  $effect(() => desk.ask(document, $state.snapshot(desk.asked)))
  const on = $derived(desk.worked?.onCourt ?? game.onCourt)
  let tab = $state<'rules' | 'try' | 'versions' | 'words'>('rules')
  const example = '1v1; serve, then other every 2; bonus "cone hit" 3 wins; to 11, two ahead'
  /** A line in words that is typed and not taken over yet. */
  let line = $state<string>()
  const wrong = $derived(Object.keys(desk.errors).length > 0)
  const ofVersions = $derived(Object.keys(desk.errors).some((path) => path.startsWith('versions')))
  const tabs = $derived([
    { id: 'rules', label: 'Rules', wrong: wrong && !ofVersions },
    { id: 'try', label: 'Try it' },
    { id: 'versions', label: 'Versions', wrong: ofVersions },
    { id: 'words', label: 'Words, care' },
  ] as const)
  const lines = (text: string) =>
    text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean)

  async function keepCopy(body: GameDocument) {
    if (await keep(client, body)) {
      draft.settle('theirs') // what is here is in the copy now
      notices.done('Kept as a game of its own.')
    }
  }
</script>

<div class="desk">
  <div class="head">
    <a class="link link-hover text-sm" href="#/games">Games</a>
    <h1>{draft.document.name}</h1>
    {#if builtIn}<span class="badge">ready to play</span>{:else}
      <SaveState
        {draft}
        busy={desk.asking.editing}
        onkeep={() => void keepCopy($state.snapshot(draft.document))}
      />
    {/if}
    <div class="ml-auto flex items-center gap-2">
      {#if !builtIn}
        <button
          class="btn btn-sm"
          disabled={!draft.canUndo || desk.asking.editing}
          onclick={() => draft.undo()}>Undo</button
        >
        <button
          class="btn btn-sm"
          disabled={!draft.canRedo || desk.asking.editing}
          onclick={() => draft.redo()}>Redo</button
        >
      {/if}
      <a class="btn btn-sm" href="/api/out/game/{id}.json" download>Hand out</a>
      <button class="btn btn-sm" onclick={() => duplicate(client, id)}
        >{builtIn ? 'Duplicate to change it' : 'Duplicate'}</button
      >
      {#if !wrong}<Begin {id} name={draft.document.name} {document} />{/if}
    </div>
  </div>
  <div class="drawing">
    {#if on}<GameCourt
        {on}
        label="{draft.document.name}: start places"
        onmove={builtIn || desk.asked.version
          ? undefined
          : (handle, to) => desk.edit({ move: { handle, to } })}
      />{/if}
  </div>
  <div class="side">
    <Tabs label="Of this game" {tabs} current={tab} onchange={(next) => (tab = next)} />
    <div class="panel" role="tabpanel" aria-label={tabs.find((each) => each.id === tab)?.label}>
      {#if desk.asking.refusal}<p class="text-error mb-2" role="alert">
          {Object.values(desk.asking.fields)[0] ?? desk.asking.refusal}
        </p>{/if}
      {#if desk.asked.version && tab !== 'versions'}<p class="mb-2" role="status">
          On the court and at the foot: the version “{desk.asked.version}”.
          <button class="link" onclick={() => (desk.asked.version = undefined)}>Show it as written</button>
        </p>{/if}
      {#if tab === 'rules'}
        <RuleSentences {desk} />
      {:else if tab === 'try'}
        <TryIt {desk} />
      {:else if tab === 'versions'}
        <Versions {desk} />
      {:else}
        <InWords
          label="The game in words"
          {document}
          read={(document, line) => answer(api.POST('/api/games/line', { body: { document, line } }))}
          bind:typed={line}
          fixed={builtIn}
          {example}
          ontake={(taken) => draft.replace(taken)}
        />
        <ul class="mb-3 list-disc pl-5">
          {#each desk.worked?.sentences ?? game.sentences as sentence, i (i)}<li>{sentence}</li>{/each}
        </ul>
        <fieldset class="grid gap-3" disabled={builtIn}>
          <legend class="sr-only">Name and words</legend>
          <TextField
            label="Name"
            value={draft.document.name}
            error={desk.errors.name}
            onchange={(name) => draft.change((d) => (d.name = name))}
          />
          {#each [['Summary', 'summary'], ['Cues, one a line', 'cues'], ['Cautions, one a line', 'cautions'], ['Equipment, one a line', 'equipment']] as const as [label, field] (field)}
            {@const value = draft.document[field]}
            <label class="grid gap-1"
              ><span class="text-sm font-medium">{label}</span>
              <textarea
                class="textarea w-full"
                rows="3"
                value={typeof value === 'string' ? value : value.join('\n')}
                onchange={(event) => {
                  const text = event.currentTarget.value
                  draft.change((d) => {
                    if (field === 'summary') d.summary = text
                    else d[field] = lines(text)
                  })
                }}></textarea></label
            >
          {/each}
        </fieldset>
        <p class="hint mt-2 text-sm">No medical advice; local rules and licensed practice come first.</p>
      {/if}
    </div>
  </div>
  {#if desk.worked}<div class="foot"><Drums metrics={desk.worked.metrics} /></div>{/if}
</div>

<style>
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.25rem 0.75rem;
    grid-area: head;
    min-width: 0;
  }
  .drawing {
    grid-area: drawing;
  }
  .side {
    grid-area: side;
    min-width: 0;
    min-height: 0;
    display: flex;
    flex-direction: column;
  }
  .foot {
    grid-area: foot;
    min-width: 0;
  }
  .panel {
    padding-top: 0.6rem;
  }
  @media screen and (min-width: 701px) {
    .desk {
      --court-height: calc(100dvh - 9.5rem);
      --court-width: calc(100vw - 32rem);
      display: grid;
      grid-template: 'head head' auto 'drawing side' minmax(0, 1fr) 'foot foot' auto / auto minmax(0, 1fr);
      gap: 0.4rem 1rem;
      height: max(calc(100dvh - 1rem), 34rem);
    }
    .panel {
      overflow-y: auto;
      min-height: 0;
      flex: 1;
    }
  }
  @media (max-width: 700px) {
    .desk {
      display: flex;
      flex-direction: column;
      gap: 0.5rem;
    }
    h1 {
      font-size: 1.15rem;
    }
    .drawing :global(svg) {
      max-height: 40dvh;
      width: auto;
      margin-inline: auto;
    }
  }
</style>
