<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, Refusal } from '../../lib/api/client'
  import { keys } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import TextField from '../../lib/fields/TextField.svelte'

  interface Props {
    folder: string
    usual: boolean
  }
  let { folder, usual }: Props = $props()
  const client = useQueryClient()
  let typed = $state<string>()
  let wrong = $state<string>()
  const path = $derived(typed ?? folder)

  async function choose(chosen: string) {
    wrong = undefined
    try {
      client.setQueryData(
        keys.keeping,
        await answer(api.PUT('/api/keeping/folder', { body: { folder: chosen } })),
      )
      typed = undefined
      notices.done('Copies are made in this folder from now on. Those that there are stay where they are.')
    } catch (error) {
      wrong = error instanceof Refusal ? error.fields.folder : undefined
      if (!wrong) notices.wrong(error)
    }
  }
</script>

<section class="sheet" aria-labelledby="folder">
  <h2 id="folder">Where the copies are</h2>
  <form
    class="mt-2"
    onsubmit={(event) => {
      event.preventDefault()
      void choose(path.trim())
    }}
  >
    <TextField label="Folder" value={path} error={wrong} onchange={(text) => (typed = text)} />
    <p class="mt-3 flex flex-wrap gap-2">
      <button class="btn">Use this folder</button>
      {#if !usual}
        <button class="btn" type="button" onclick={() => choose('')}>Use the usual one again</button>
      {/if}
    </p>
  </form>
  <p class="hint mt-2 text-sm">
    A stick, another disk, or a folder that something else copies elsewhere. Copies hold all that is private:
    who can read the folder can read them.
  </p>
</section>
