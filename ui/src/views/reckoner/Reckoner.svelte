<script lang="ts">
  import { router } from 'svelte-spa-router'
  import Goal from './Goal.svelte'
  import Rally from './Rally.svelte'
  import Target from './Target.svelte'
  import WhereToStand from './WhereToStand.svelte'
  import WidestBalls from './WidestBalls.svelte'

  /** Quick answers without a drill: each on one screen. */
  const questions = [
    { href: '/reckoner', label: 'Goal' },
    { href: '/reckoner/target', label: 'Target' },
    { href: '/reckoner/rally', label: 'Rally' },
    { href: '/reckoner/stand', label: 'Where to stand' },
    { href: '/reckoner/angles', label: 'Angles' },
  ]
</script>

<h1>Reckoner</h1>
<nav aria-label="Questions" class="mt-2 flex flex-wrap gap-2">
  {#each questions as question (question.href)}
    <a
      class="btn btn-sm"
      class:btn-primary={router.location === question.href}
      href="#{question.href}"
      aria-current={router.location === question.href ? 'page' : undefined}>{question.label}</a
    >
  {/each}
</nav>
<div class="mt-4">
  {#if router.location.endsWith('/target')}<Target />{:else if router.location.endsWith('/rally')}<Rally
    />{:else if router.location.endsWith('/stand')}<WhereToStand
    />{:else if router.location.endsWith('/angles')}<WidestBalls />{:else}<Goal />{/if}
</div>
