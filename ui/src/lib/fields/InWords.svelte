<script lang="ts" generics="D extends object">
  import { createQuery, keepPreviousData } from '@tanstack/svelte-query'
  import type { LineRead } from '../api/client'

  /** A document as one line in words: read as it is typed, taken over by Enter. */
  interface Props {
    /** What it is called for who cannot see it. */
    label: string
    document: D
    /** Reads a line; an empty one asks how the document is written. */
    read: (document: D, line: string) => Promise<Omit<LineRead, 'document'> & { document: D | null }>
    /** What is typed and not taken over yet; undefined while it is the document's own. */
    typed?: string
    fixed: boolean
    example: string
    ontake: (document: D) => void
  }
  let { label, document, read, typed = $bindable(), fixed, example, ontake }: Props = $props()
  const id = $props.id()
  const asked = (line: string) => ({
    queryKey: ['line', document, line],
    queryFn: () => read(document, line),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  })
  const own = createQuery(() => asked(''))
  const reading = createQuery(() => ({ ...asked(typed ?? ''), enabled: (typed ?? '').trim() !== '' }))
  const understood = $derived(typed === undefined || typed.trim() === '' ? undefined : reading.data)
  /** The answer is about what is typed, not about what was typed before it. */
  const fresh = $derived(understood?.line === typed)

  async function takeOver() {
    if (typed === undefined || typed.trim() === '') return
    const taken = (await read(document, typed)).document
    if (!taken) return
    ontake(taken)
    typed = undefined
  }

  function key(event: KeyboardEvent) {
    if (event.key === 'Enter' && !event.shiftKey) {
      event.preventDefault()
      void takeOver()
    } else if (event.key === 'Escape') typed = undefined
  }
</script>

<details class="no-print mb-3">
  <summary class="cursor-pointer text-sm font-medium">In words</summary>
  <label class="sr-only" for="{id}-line">{label}</label>
  <textarea
    id="{id}-line"
    class="textarea w-full"
    class:textarea-error={fresh && understood?.wrong}
    rows="2"
    spellcheck="false"
    readonly={fixed}
    aria-describedby="{id}-means"
    value={typed ?? own.data?.line ?? ''}
    oninput={(event) => (typed = event.currentTarget.value)}
    onkeydown={key}></textarea>
  <div id="{id}-means" class="text-sm">
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
    {:else if !fixed}
      <p class="hint">
        One line is the whole of it: <code>{example}</code>. It can be sent in a message, and typed in here.
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
