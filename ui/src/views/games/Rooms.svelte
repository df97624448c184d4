<script lang="ts">
  /** The pages about games. */
  interface Props {
    here: 'games' | 'played' | 'ranking'
  }
  let { here }: Props = $props()
  const pages = [
    { id: 'games', href: '#/games', label: 'To play' },
    { id: 'played', href: '#/games/played', label: 'Played' },
    { id: 'ranking', href: '#/games/ranking', label: 'Ranking' },
  ] as const
</script>

<nav class="no-print flex gap-1" aria-label="Games">
  {#each pages as page (page.id)}
    <a
      class="btn btn-sm"
      class:btn-primary={page.id === here}
      href={page.href}
      aria-current={page.id === here ? 'page' : undefined}>{page.label}</a
    >
  {/each}
</nav>
