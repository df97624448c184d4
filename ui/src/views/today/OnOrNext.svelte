<script lang="ts">
  import { createQuery } from '@tanstack/svelte-query'
  import { answer, api, type LessonBrief } from '../../lib/api/client'
  import { keys } from '../../lib/page/data'
  import { onDevice } from '../../lib/page/kept'
  import { whenIs } from './leading'

  /** The lesson that is on or next, on a phone: where to go, what to carry, what to walk off. */
  interface Props {
    brief: LessonBrief
    now: Date
    /** All of it is there that will be: what stands below it stays where it is. */
    whole: boolean
  }
  let { brief, now, whole = $bindable() }: Props = $props()
  const lesson = createQuery(() => ({
    queryKey: keys.lesson(brief.id),
    queryFn: () => answer(api.GET('/api/lessons/{id}', { params: { path: { id: brief.id } } })),
  }))
  const courts = createQuery(() => ({
    queryKey: [...keys.lesson(brief.id), 'courts'],
    queryFn: () => answer(api.POST('/api/lessons/courts', { body: lesson.data!.document })),
    enabled: lesson.data !== undefined,
  }))
  const carry = $derived(lesson.data?.plan.carry.map(({ count, name }) => `${count} ${name}`) ?? [])
  const walk = $derived(
    courts.data?.flatMap((plan) => plan.walk.map((step) => `${step.label}: ${step.description}`)) ?? [],
  )

  $effect(() => {
    if (lesson.isError || courts.isFetched) whole = true
  })

  /** What was ticked, kept on this device until the day is over. */
  const key = $derived(`hodometer.ticked.${brief.id}.${brief.date}`)
  let ticked = $derived(onDevice.read<string[]>(key, []))
  function tick(what: string, on: boolean) {
    ticked = on ? [...ticked, what] : ticked.filter((each) => each !== what)
    onDevice.write(key, ticked)
  }
</script>

{#snippet list(title: string, things: string[])}
  {#if things.length}
    {@const left = things.filter((each) => !ticked.includes(each)).length}
    <details open={left > 0}>
      <summary><strong>{title}</strong> <span>{left ? `${left} left` : 'all there ✓'}</span></summary>
      {#each things as thing, i (i)}
        <label>
          <input
            type="checkbox"
            class="checkbox"
            checked={ticked.includes(thing)}
            onchange={(event) => tick(thing, event.currentTarget.checked)}
          />
          <span class:done={ticked.includes(thing)}>{thing}</span>
        </label>
      {/each}
    </details>
  {/if}
{/snippet}

<section class="sheet" aria-label="On or next">
  <p class="when">{whenIs(brief, now)}</p>
  <h2 class="text-xl font-semibold">
    <span class="drum-digits">{brief.start}</span>
    <a class="link-hover" href="#/lessons/{brief.id}">{brief.title}</a>
  </h2>
  <p class="hint">{brief.minutes} min · {brief.people.join(', ')}</p>
  <a class="btn btn-primary go" href="#/lessons/{brief.id}/courtside"
    >{brief.state === 'begun' ? 'Back courtside' : 'Go courtside'}</a
  >
  {@render list('Carry', carry)}
  {@render list('Walk off', walk)}
</section>

<style>
  .when {
    font-weight: 600;
    color: var(--color-primary);
  }
  .go {
    width: 100%;
    min-height: 64px;
    margin-block: 0.75rem;
    font-size: 1.15rem;
  }
  summary,
  label {
    min-height: 44px;
    display: flex;
    align-items: center;
    gap: 0.75rem;
  }
  summary {
    cursor: pointer;
    justify-content: space-between;
  }
  .done {
    text-decoration: line-through;
  }
</style>
