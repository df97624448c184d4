<script lang="ts">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import { keys } from '../../lib/data'
  import type { Bench } from './bench.svelte'

  /** The pattern as one line in words: read as it is typed, taken over by Enter. */
  interface Props {
    bench: Bench
  }
  let { bench }: Props = $props()
  const builtIn = $derived(bench.builtIn)
  const typed = $derived(bench.line)
  const plain = $derived(bench.plain)
  const line = (typed: string) =>
    answer(api.POST('/api/drills/line', { body: { document: plain, line: typed } }))
  const own = createQuery(() => ({
    queryKey: keys.line(plain, ''),
    queryFn: () => line(''),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  }))
  const read = createQuery(() => ({
    queryKey: keys.line(plain, typed ?? ''),
    queryFn: () => line(typed ?? ''),
    enabled: (typed ?? '').trim() !== '',
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  }))
  const understood = $derived(typed === undefined || typed.trim() === '' ? undefined : read.data)
  /** The answer is about what is typed, not about what was typed before it. */
  const fresh = $derived(understood?.line === typed)

  async function takeOver() {
    if (typed === undefined || typed.trim() === '') return
    const taken = (await line(typed)).document
    if (!taken) return
    bench.draft.replace(taken)
    bench.line = undefined
  }

  function key(event: KeyboardEvent) {
    if (event.key === 'Enter' && !event.shiftKey) {
      event.preventDefault()
      void takeOver()
    } else if (event.key === 'Escape') bench.line = undefined
  }
</script>

<details class="no-print mb-3">
  <summary class="cursor-pointer text-sm font-medium">In words</summary>
  <label class="sr-only" for="in-words">The pattern in words</label>
  <textarea
    id="in-words"
    class="textarea w-full"
    class:textarea-error={fresh && understood?.wrong}
    rows="2"
    spellcheck="false"
    readonly={builtIn}
    aria-describedby="in-words-means"
    value={typed ?? own.data?.line ?? ''}
    oninput={(event) => (bench.line = event.currentTarget.value)}
    onkeydown={key}></textarea>
  <div id="in-words-means" class="text-sm">
    {#if understood}
      <p class="means">
        {#each understood.words.filter((word) => word.means || word.wrong) as word, i (i)}
          {#if word.wrong}<span class="wrong">{word.text}</span>{:else}<span title={word.text}
              >{word.means}</span
            >{/if}
        {/each}
      </p>
      {#if fresh && understood.wrong}
        <p class="text-error" role="alert">{understood.wrong}</p>
      {:else}
        <p>
          <button class="link" onclick={takeOver}>Take it over</button> or press Enter; Escape leaves it as it was.
        </p>
      {/if}
    {:else if !builtIn}
      <p class="hint">
        One line is the whole pattern: <code
          >deep FH, short FH, deep BH; 3.5 s; x2; aim 1.4 m in left 2 m deep</code
        >. It can be sent in a message, and typed in here.
      </p>
    {/if}
  </div>
</details>

<style>
  textarea {
    font-size: 0.85rem;
    line-height: 1.35;
  }
  .means {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 0.15rem;
    margin-top: 0.25rem;
  }
  .means span {
    background: var(--color-base-200);
    border-radius: 0.25rem;
    padding: 0 0.3rem;
  }
  .means .wrong {
    text-decoration: underline wavy var(--color-error);
    background: none;
  }
</style>
