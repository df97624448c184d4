<script lang="ts">
  import type { Sheet } from '../../lib/api/client'
  import Court from '../../court/Court.svelte'
  import GameCourt from '../../game/GameCourt.svelte'
  import Road from '../../road/Road.svelte'

  interface Props {
    sheet: Sheet
  }
  let { sheet }: Props = $props()
  const lesson = $derived(sheet.lesson)
  const content = $derived(sheet.content)
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
  <a class="btn btn-sm" href="/api/out/counting/{lesson.id}.pdf" download>Counting sheets as PDF</a>
</div>

<article aria-labelledby="sheet-title">
  <h1 id="sheet-title">
    <span class="drum-digits mr-2 text-4xl">{content.start}</span>{content.title}
  </h1>
  <p>{content.about}</p>
  {#each content.facts as fact (fact.name)}
    <p><strong>{fact.name}:</strong> <span data-figure="{lesson.id} {fact.name}">{fact.text}</span></p>
  {/each}
  {#if content.note}<p>{content.note}</p>{/if}
  <div class="mt-2"><Road plan={lesson.plan} height={86} /></div>

  <div class="columns mt-3">
    <ol class="blocks">
      {#each content.sections as section (section.block)}
        <li class="block">
          <h2>
            <span class="drum-digits text-2xl">{section.clock}</span>
            {section.title}
            <span class="length drum-digits" data-figure="{lesson.id} {section.block} lasts"
              >{section.length}</span
            >
          </h2>
          <ul>
            {#each section.lines as line, i (i)}
              <li>
                <span class="at drum-digits">{line.after}</span>
                <span
                  >{line.text}
                  {#each line.entries as entry, i (i)}<span class="entry"
                      ><strong>{entry.name}:</strong> {entry.text}</span
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
          {#each drill.report.measures as measure (measure.number)}
            <p class="text-sm">
              {#if drill.report.measures.length > 1}<strong>{measure.number}</strong>
                {`${measure.name}: `}{/if}{measure.goal}{measure.where}
            </p>
          {/each}
        </figure>
      {/each}
      {#each sheet.games as game (game.id)}
        <figure>
          <figcaption class="font-semibold">{game.name}</figcaption>
          <GameCourt on={game.onCourt} label="Start places of {game.name}" />
        </figure>
      {/each}
    </div>
  </div>
  <ul class="mt-3 list-disc pl-5 text-sm">
    {#each content.cautions as caution, i (i)}<li>{caution}</li>{/each}
    <li>{content.noAdvice}</li>
  </ul>
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
  .entry {
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
