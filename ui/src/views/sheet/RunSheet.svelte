<script lang="ts">
  import type { Cue, Sheet, ScheduledBlock } from '../../lib/api/client'
  import Court from '../../court/Court.svelte'
  import Road from '../../road/Road.svelte'
  import { listed } from '../../lib/words'

  interface Props {
    sheet: Sheet
  }
  let { sheet }: Props = $props()
  const lesson = $derived(sheet.lesson)
  const plan = $derived(lesson.plan)
  const day = $derived(
    new Date(`${lesson.document.date}T12:00:00`).toLocaleDateString('en-GB', {
      weekday: 'long',
      day: 'numeric',
      month: 'long',
      year: 'numeric',
    }),
  )
  const cuesOf = (scheduled: ScheduledBlock): Cue[] =>
    sheet.cues.filter(
      (cue) => cue.block === scheduled.block && cue.kind !== 'end' && cue.text !== scheduled.title,
    )
  const told = (cue: Cue) => cue.roles.filter((role) => role.role !== 'as drawn')
  const watched = $derived(plan.budgets.filter((b) => b.fault))
</script>

<div class="no-print mb-3 flex flex-wrap gap-2">
  <a class="btn btn-sm" href="#/lessons/{lesson.id}">Back to the plan</a>
  <button class="btn btn-sm" onclick={() => print()}>Print this page</button>
  <a class="btn btn-sm" href="/api/lessons/{lesson.id}/sheet.pdf?paper=A4" target="_blank" rel="noopener"
    >A4 sheet as PDF</a
  >
  <a class="btn btn-sm" href="/api/lessons/{lesson.id}/sheet.pdf?paper=A5" target="_blank" rel="noopener"
    >A5 card as PDF</a
  >
</div>

<article aria-labelledby="sheet-title">
  <h1 id="sheet-title">
    <span class="drum-digits mr-2 text-4xl">{lesson.document.start}</span>{lesson.document.title}
  </h1>
  <p>{day} · {lesson.document.minutes} min · {lesson.people.map((p) => p.name).join(', ')}</p>
  {#if plan.carry.length}<p><strong>Carry:</strong> {listed(plan.carry)}</p>{/if}
  {#if watched.length}
    <p><strong>Watch:</strong> {watched.map((b) => `${b.name}: ${b.fault}`).join('; ')}</p>
  {/if}
  {#if lesson.document.note}<p>{lesson.document.note}</p>{/if}
  <div class="mt-2"><Road {plan} height={86} /></div>

  <div class="columns mt-3">
    <ol class="blocks">
      {#each plan.blocks as scheduled (scheduled.block)}
        <li class="block">
          <h2>
            <span class="drum-digits text-2xl">{scheduled.clock}</span>
            {scheduled.title}
            <span class="length drum-digits">{scheduled.length}</span>
          </h2>
          <ul>
            {#each cuesOf(scheduled) as cue, i (i)}
              <li>
                <span class="at drum-digits">{cue.after}</span>
                <span
                  >{cue.text}
                  {#each told(cue) as role, i (i)}<span class="role"
                      ><strong>{role.short}</strong> {role.role}</span
                    >{/each}</span
                >
              </li>
            {/each}
          </ul>
        </li>
      {/each}
    </ol>
    <div class="courts">
      {#each sheet.drills as drill (drill.id)}
        <figure>
          <figcaption class="font-semibold">{drill.document.name}</figcaption>
          <Court report={drill.report} label="Court of {drill.document.name}" small />
          <p class="text-sm">Aim: {drill.report.aim}</p>
        </figure>
      {/each}
    </div>
  </div>
  {#if plan.cautions.length}
    <ul class="mt-3 list-disc pl-5 text-sm">
      {#each plan.cautions as caution, i (i)}<li>{caution}</li>{/each}
    </ul>
  {/if}
</article>

<style>
  .columns {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
    gap: 1.25rem;
  }
  .courts {
    display: flex;
    flex-direction: column;
    gap: 1rem;
  }
  .courts figure {
    break-inside: avoid;
  }
  .block {
    border-top: 1px solid var(--color-base-content);
    padding: 0.35rem 0;
    break-inside: avoid;
  }
  .block h2 {
    display: flex;
    gap: 0.6rem;
    align-items: baseline;
  }
  .length {
    margin-left: auto;
  }
  .block li {
    display: grid;
    grid-template-columns: 3.4rem minmax(0, 1fr);
    gap: 0.4rem;
    align-items: baseline;
  }
  .role {
    font-size: 0.85em;
    margin-left: 0.6rem;
    display: inline-block;
  }
  @media (max-width: 700px) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
