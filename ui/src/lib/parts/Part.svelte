<script lang="ts">
  import type { Snippet } from 'svelte'
  import Failure from './Failure.svelte'

  /** A part of a page: where it fails, it says so in its place, and the rest of the page goes on. */
  interface Props {
    /** What it is, at the beginning of a sentence: "The road". */
    name: string
    children: Snippet
  }
  let { name, children }: Props = $props()
</script>

<svelte:boundary onerror={(error) => console.error(name, error)}>
  {@render children()}
  {#snippet failed(error, reset)}<Failure {name} {error} {reset} />{/snippet}
</svelte:boundary>
