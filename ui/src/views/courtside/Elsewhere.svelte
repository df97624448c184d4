<script lang="ts">
  /** Somebody is counted on another device now, and can be taken over. */
  interface Props {
    who: string
    ontakeover: () => void
  }
  let { who, ontakeover }: Props = $props()
</script>

<div class="away" role="status">
  <p>{who}: counted on another device now.</p>
  <button class="btn" onclick={ontakeover}>Count here</button>
</div>

<style>
  .away {
    display: grid;
    grid-template-columns: 1fr auto;
    align-items: center;
    gap: 0.5rem;
    min-height: clamp(64px, 12dvh, 96px);
    padding-inline: 0.25rem;
  }
  .btn {
    min-height: 64px;
    font-size: 1.05rem;
  }
</style>
