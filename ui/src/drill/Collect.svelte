<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, over, type Settings } from '../lib/api/client'
  import { keys, renew } from '../lib/page/data'
  import { notices } from '../lib/parts/notice.svelte'

  /** In which of the coach's collections a drill is; a new one is made by naming it. */
  interface Props {
    drill: string
    name: string
    settings: Settings
  }
  let { drill, name, settings }: Props = $props()
  const client = useQueryClient()
  const collections = $derived(settings.settings.collections ?? [])
  const held = $derived(collections.filter((each) => each.drills.includes(drill)))
  let fresh = $state('')

  /** A collection that nothing is in any more is none. */
  async function keep(after: typeof collections) {
    try {
      const left = after.filter((each) => each.drills.length)
      const body = { ...settings.settings, collections: left }
      const stored = await answer(
        api.PUT('/api/settings', { params: { header: over(settings.revision) }, body }),
      )
      client.setQueryData(keys.settings, stored)
      await renew(client, keys.drills)
    } catch (error) {
      notices.wrong(error)
    }
  }

  const toggle = (collection: string, on: boolean) =>
    keep(
      collections.map((each) =>
        each.name === collection
          ? { ...each, drills: on ? [...each.drills, drill] : each.drills.filter((id) => id !== drill) }
          : each,
      ),
    )

  function begin(event: SubmitEvent) {
    event.preventDefault()
    const called = fresh.trim()
    if (!called) return
    fresh = ''
    void keep([...collections, { name: called, drills: [drill] }])
  }
</script>

<details class="dropdown dropdown-top dropdown-end">
  <summary class="btn btn-sm"
    >{held.length ? held.map((each) => each.name).join(', ') : 'Collect'}<span class="sr-only"
      >{` ${name}`}</span
    ></summary
  >
  <div class="dropdown-content bg-base-100 border-base-300 rounded-box z-10 w-64 border p-3 shadow-lg">
    {#each collections as each (each.name)}
      <label class="flex items-center gap-2 py-0.5 text-sm">
        <input
          type="checkbox"
          class="checkbox checkbox-sm"
          checked={each.drills.includes(drill)}
          onchange={(event) => void toggle(each.name, event.currentTarget.checked)}
        />
        {each.name}
      </label>
    {/each}
    <form class="mt-1 flex gap-2" onsubmit={begin}>
      <input
        class="input input-sm min-w-0 flex-1"
        maxlength="40"
        placeholder="a new collection"
        aria-label="A new collection for {name}"
        bind:value={fresh}
      />
      <button class="btn btn-sm" type="submit">Begin it</button>
    </form>
  </div>
</details>
