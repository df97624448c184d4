<script lang="ts">
  /** A figure in odometer digits: each digit rolls to its new place when the figure changes. */
  interface Props {
    text: string
    /** Digits jump instead of rolling, for a clock that is read at arm's length. */
    still?: boolean
  }
  let { text, still = false }: Props = $props()
  const digits = '0123456789'
  const places = $derived(
    [...text].map((sign, i) => ({ sign, key: text.length - i, at: digits.indexOf(sign) })),
  )
</script>

<span class="drum-digits inline-flex" class:still aria-hidden="true">
  {#each places as place (place.key)}
    {#if place.at >= 0}
      <span class="place">
        <span class="reel" style:transform="translateY({-place.at * 10}%)">
          {#each digits as digit (digit)}<span>{digit}</span>{/each}
        </span>
      </span>
    {:else}
      <span class="sign">{place.sign}</span>
    {/if}
  {/each}
</span>
<span class="sr-only">{text}</span>

<style>
  .place {
    height: 1em;
    overflow: hidden;
    display: inline-block;
  }
  .reel {
    display: flex;
    flex-direction: column;
    transition: transform 0.35s cubic-bezier(0.3, 0.8, 0.3, 1);
  }
  .reel span {
    height: 1em;
    line-height: 1;
    text-align: center;
    min-width: 0.46em;
  }
  .still .reel {
    transition: none;
  }
  .sign {
    line-height: 1;
  }
</style>
