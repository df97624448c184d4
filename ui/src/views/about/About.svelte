<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api } from '../../lib/api/client'
  import Async from '../../lib/parts/Async.svelte'

  const query = createQuery(() => ({ queryKey: ['about'], queryFn: () => answer(api.GET('/api/about')) }))
</script>

<h1>About Hodometer</h1>
<Async {query}>
  {#snippet children(about)}
    <section class="sheet mt-4 max-w-2xl">
      <p>
        Hodometer is for coaches of racket sports. It works out lessons and drills before they are played,
        counts them courtside, and says what the counts mean for the next step.
      </p>
      <dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        <dt>Version</dt>
        <dd class="font-medium">{about.version}</dd>
        <dt>Build</dt>
        <dd class="font-medium">{about.build || 'not known'}</dd>
        <dt>Built with</dt>
        <dd class="font-medium">{about.go.replace('go', 'Go ')}</dd>
      </dl>
    </section>
    <section class="sheet mt-4 max-w-2xl">
      <h2>What its figures rest on</h2>
      <p class="mt-1">
        Every figure opens and says how it came about. <a class="link" href="#/limits"
          >What this model cannot know</a
        >; <a class="link" href="#/how-sure">how sure its figures were</a>, in your own lessons
      </p>
    </section>
    <section class="sheet mt-4 max-w-2xl">
      <h2>What it is built on</h2>
      <p class="mt-1">
        Programs and fonts of other people, each under its own licence. They ship with Hodometer; nothing is
        fetched from anywhere while it runs.
      </p>
      <p class="mt-2"><a class="link" href="/api/notices">All licences</a></p>
    </section>
  {/snippet}
</Async>
<p class="hint mt-4 max-w-2xl text-sm">
  Hodometer is no medical advice. Local safeguarding, club and federation rules and licensed practice come
  first; pain means stop.
</p>
