<script lang="ts" generics="T extends string">
  /** Tabs over a panel; arrow keys go from one to the next. */
  interface Props {
    /** What they are about. */
    label: string
    /** Each with what it says; wrong where something in it needs putting right. */
    tabs: readonly { id: T; label: string; wrong?: boolean }[]
    current: T
    onchange: (id: T) => void
  }
  let { label, tabs, current, onchange }: Props = $props()
  let list = $state<HTMLElement>()

  function key(event: KeyboardEvent) {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
    if (!by) return
    event.preventDefault()
    const here = tabs.findIndex((each) => each.id === current)
    const next = (here + by + tabs.length) % tabs.length
    const tab = tabs[next]
    if (!tab) return
    onchange(tab.id)
    list?.querySelectorAll<HTMLElement>('[role=tab]')[next]?.focus()
  }
</script>

<div
  class="tabs-strip no-print"
  role="tablist"
  tabindex="-1"
  aria-label={label}
  bind:this={list}
  onkeydown={key}
>
  {#each tabs as tab (tab.id)}
    <button
      role="tab"
      aria-selected={tab.id === current}
      tabindex={tab.id === current ? 0 : -1}
      class:wrong={tab.wrong}
      onclick={() => onchange(tab.id)}
      >{tab.label}{#if tab.wrong}<span class="sr-only">: something needs putting right</span>{/if}</button
    >
  {/each}
</div>

<style>
  .tabs-strip {
    display: flex;
    flex-wrap: wrap;
    gap: 0 0.1rem;
    border-bottom: 1px solid var(--color-base-300);
  }
  button {
    padding: 0.3rem 0.6rem;
    font-size: 0.9375rem;
    cursor: pointer;
    border-bottom: 3px solid transparent;
  }
  button[aria-selected='true'] {
    border-color: var(--color-primary);
    font-weight: 600;
  }
  .wrong {
    color: var(--color-error);
    text-decoration: underline dotted;
  }
</style>
