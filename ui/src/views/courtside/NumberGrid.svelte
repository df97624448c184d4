<script lang="ts">
  /** Numbers from 0 on, each under a thumb. */
  interface Props {
    most: number
    /** What they count, for those who hear the page. */
    of: string
    onpick: (n: number) => void
  }
  let { most, of, onpick }: Props = $props()
</script>

<div class="grid grid-cols-5 gap-2">
  {#each Array.from({ length: most + 1 }, (_, n) => n) as n (n)}
    <button class="btn number" onclick={() => onpick(n)}
      ><span class="drum-digits">{n}</span><span class="sr-only"> {of}</span></button
    >
  {/each}
</div>

<style>
  .number {
    min-height: 64px;
    font-size: 1.9rem;
  }
</style>
