<script lang="ts">
  /** A goal that is met, told once: the harder version, counting on, or going on. */
  interface Props {
    who: string
    /** The version that is harder; empty where there is none, or others are still at it. */
    harder: string
    /** Who is next at it; empty where everybody has met it. */
    next: string
    onharder: () => void
    onnext: () => void
    ongoon: () => void
    oncounton: () => void
  }
  let { who, harder, next, onharder, onnext, ongoon, oncounton }: Props = $props()
</script>

<div class="met" role="group" aria-label="Goal met">
  <p><strong>{who}: goal met</strong></p>
  <div class="ways">
    {#if harder}<button class="btn" onclick={onharder}>Harder<span class="sr-only">: {harder}</span></button
      >{/if}
    <button class="btn" onclick={oncounton}>Again</button>
    {#if next}<button class="btn btn-primary" onclick={onnext}>Next: {next}</button>{:else}<button
        class="btn btn-primary"
        onclick={ongoon}>Go on</button
      >{/if}
  </div>
</div>

<style>
  .met {
    display: grid;
    grid-template-columns: minmax(4.2rem, auto) 1fr;
    align-items: center;
    gap: 0.5rem;
    padding-left: 0.5rem;
    line-height: 1.15;
    border: 3px solid var(--color-success);
    border-radius: var(--radius-box);
    animation: met 0.5s ease-out;
  }
  .ways {
    display: grid;
    grid-auto-flow: column;
    grid-auto-columns: 1fr;
    gap: 0.3rem;
  }
  .btn {
    min-height: 48px;
    padding-inline: 0.25rem;
  }
  @keyframes met {
    from {
      transform: scale(0.85);
      opacity: 0;
    }
  }
  @media (prefers-reduced-motion: reduce) {
    .met {
      animation: none;
    }
  }
</style>
