<script lang="ts">
  import type { Snippet } from 'svelte'
  import { among } from './choices'
  import type { Desk } from './desk.svelte'

  /** One sentence of several alike: it can be taken out, and says what is wrong with it. */
  interface Props {
    desk: Desk
    /** Where it stands in the document. */
    path: string
    /** Which one it is, for who cannot see it. */
    which: string
    ontakeout: () => void
    children: Snippet
  }
  let { desk, path, which, ontakeout, children }: Props = $props()
</script>

<div>
  <p>
    {@render children()}
    {#if !desk.builtIn}<button class="btn btn-xs" onclick={ontakeout}
        >Take out<span class="sr-only"> {which}</span></button
      >{/if}
  </p>
  {#each among(desk.errors, path) as message (message)}<p class="text-error text-sm" role="alert">
      {message}
    </p>{/each}
</div>
