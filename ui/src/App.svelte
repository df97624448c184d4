<script lang="ts">
  import Calculator from '@lucide/svelte/icons/calculator'
  import CalendarDays from '@lucide/svelte/icons/calendar-days'
  import Moon from '@lucide/svelte/icons/moon'
  import Settings from '@lucide/svelte/icons/sliders-horizontal'
  import Sun from '@lucide/svelte/icons/sun'
  import Target from '@lucide/svelte/icons/target'
  import Users from '@lucide/svelte/icons/users'
  import Duel from '@lucide/svelte/icons/swords'
  import Waypoints from '@lucide/svelte/icons/waypoints'
  import { QueryClient, QueryClientProvider } from '@tanstack/svelte-query'
  import { onMount } from 'svelte'
  import Router, { router } from 'svelte-spa-router'
  import { door } from './lib/page/door.svelte'
  import { drafts } from './lib/drafts/drafts.svelte'
  import Carried from './lib/parts/Carried.svelte'
  import UnsavedDrafts from './lib/drafts/UnsavedDrafts.svelte'
  import Notice from './lib/parts/Notice.svelte'
  import Part from './lib/parts/Part.svelte'
  import { notices } from './lib/parts/notice.svelte'
  import { theme } from './lib/page/theme.svelte'
  import { routes } from './routes'

  // A device without a network may still reach a server on the same machine: every question is asked.
  const client = new QueryClient({
    defaultOptions: {
      queries: { retry: 1, staleTime: 2000, networkMode: 'always' },
      mutations: { networkMode: 'always' },
    },
  })
  const rooms = [
    { href: '/', label: 'Today', icon: CalendarDays },
    { href: '/students', label: 'Students', icon: Users },
    { href: '/drills', label: 'Drills', icon: Target },
    { href: '/games', label: 'Games', icon: Duel },
    { href: '/lessons', label: 'Lessons', icon: Waypoints },
    { href: '/reckoner', label: 'Reckoner', icon: Calculator },
    { href: '/settings', label: 'Settings', icon: Settings },
  ]
  const here = (href: string) => (href === '/' ? router.location === '/' : router.location.startsWith(href))
  const courtside = $derived(router.location.endsWith('/courtside'))
  /** On the bench the court needs the room: the rooms stand as a rail. */
  const bench = $derived(/^\/(drills|games)\/[0-9a-f-]{36}$/.test(router.location))
  let main = $state<HTMLElement>()

  theme.apply()
  void door.look()
  /** What is missing to be let in; how a phone trusts this machine is told to everybody. */
  const needs = $derived(router.location === '/trust' ? '' : (door.state?.needs ?? ''))

  onMount(() => drafts.start(client))

  /** A new view starts at its top, where the keyboard goes on. */
  function arrived() {
    notices.left()
    scrollTo(0, 0)
    main?.focus()
  }
</script>

<QueryClientProvider {client}>
  <a class="skip btn btn-primary" href="#main" onclick={(event) => (event.preventDefault(), main?.focus())}
    >Skip to the page</a
  >
  {#if needs}
    {#await import('./views/entrance/Entrance.svelte') then { default: Entrance }}<Entrance {needs} />{/await}
  {/if}
  <div class="app" class:bare={courtside} class:bench inert={needs !== ''}>
    {#if !courtside}
      <nav aria-label="Rooms" class="bg-base-200 border-base-300">
        <p class="name">Hodometer</p>
        <ul>
          {#each rooms as room (room.href)}
            <li>
              <a href="#{room.href}" aria-current={here(room.href) ? 'page' : undefined}>
                <room.icon size={20} aria-hidden="true" /><span>{room.label}</span>
              </a>
            </li>
          {/each}
        </ul>
        <button class="btn btn-ghost btn-sm theme" onclick={() => theme.toggle()}>
          {#if theme.current === 'chalk'}<Moon size={18} aria-hidden="true" /> Floodlit{:else}<Sun
              size={18}
              aria-hidden="true"
            /> Chalk{/if}
        </button>
      </nav>
    {/if}
    <main id="main" bind:this={main} tabindex="-1">
      <Carried />
      <UnsavedDrafts />
      <Part name="This page"><Router {routes} onRouteLoaded={arrived} /></Part>
    </main>
  </div>
  <Notice aside={courtside} />
</QueryClientProvider>

<style>
  .skip {
    position: absolute;
    left: -100vw;
    z-index: 30;
  }
  .skip:focus {
    left: 1rem;
    top: 1rem;
  }
  .app {
    display: grid;
    grid-template-columns: 11rem minmax(0, 1fr);
    min-height: 100dvh;
  }
  .bare {
    grid-template-columns: minmax(0, 1fr);
  }
  nav {
    border-right-width: 1px;
    padding: 1rem 0.75rem;
    display: flex;
    flex-direction: column;
    gap: 1rem;
    position: sticky;
    top: 0;
    height: 100dvh;
  }
  .name {
    font-family: var(--font-drum);
    font-weight: 600;
    font-size: 1.6rem;
    letter-spacing: 0.01em;
  }
  nav a {
    display: flex;
    align-items: center;
    gap: 0.6rem;
    padding: 0.55rem 0.6rem;
    border-radius: var(--radius-field);
  }
  nav a[aria-current] {
    background: var(--color-primary);
    color: var(--color-primary-content);
  }
  .theme {
    margin-top: auto;
    justify-content: flex-start;
  }
  main {
    padding: 1.25rem 1.5rem 2rem;
    max-width: 84rem;
    outline: none;
    min-width: 0;
  }
  .bare main {
    padding: 0;
    max-width: none;
  }
  @media (min-width: 701px) {
    .bench {
      grid-template-columns: 4.5rem minmax(0, 1fr);
    }
    .bench nav {
      padding: 0.75rem 0.25rem;
    }
    .bench nav a {
      flex-direction: column;
      gap: 0.1rem;
      padding: 0.4rem 0;
      font-size: 0.75rem;
    }
    .bench .name {
      font-size: 0.85rem;
      text-align: center;
    }
    .bench .theme {
      padding: 0;
      margin-inline: auto;
      width: 100%;
      flex-direction: column;
      height: auto;
      gap: 0.1rem;
      font-size: 0.75rem;
      font-weight: 400;
    }
    .bench main {
      padding: 0.5rem 0.75rem;
      max-width: none;
    }
  }
  @media (max-width: 700px) {
    .app {
      grid-template-columns: minmax(0, 1fr);
      padding-bottom: 4rem;
    }
    .bare {
      padding-bottom: 0;
    }
    nav {
      position: fixed;
      inset: auto 0 0 0;
      height: auto;
      z-index: 10;
      padding: 0.25rem;
      border-width: 1px 0 0;
    }
    nav ul {
      display: grid;
      grid-template-columns: repeat(7, minmax(0, 1fr));
    }
    nav a {
      flex-direction: column;
      gap: 0.1rem;
      padding: 0.4rem 0;
      font-size: 0.75rem;
    }
    .name,
    .theme {
      display: none;
    }
    main {
      padding: 1rem;
    }
  }
</style>
