<script lang="ts">
  import { useQueryClient } from '@tanstack/svelte-query'
  import { answer, api, type Progress, type Derivation } from '../../lib/api/client'
  import { keys } from '../../lib/page/data'
  import { notices } from '../../lib/parts/notice.svelte'
  import DerivationDialog from '../../lib/parts/DerivationDialog.svelte'

  interface Props {
    student: string
    stroke: Progress['strokes'][number]
  }
  let { student, stroke }: Props = $props()
  const client = useQueryClient()
  const advice = $derived(stroke.advice)
  const signs = { 'step up': '▲', stay: '■', 'thin out one thing': '◆', 'step back': '▼' }
  let open = $state<Derivation | null>(null)

  async function stand(rung: typeof advice.rung) {
    const before = advice.rung
    try {
      const data = await answer(
        api.POST('/api/students/{id}/ladder-position', {
          params: { path: { id: student } },
          body: { stroke: stroke.stroke, rung },
        }),
      )
      client.setQueryData(keys.progress(student), data)
      notices.done(`${stroke.stroke}: now on ${rung}.`, { label: 'Undo', run: () => stand(before) })
    } catch (error) {
      notices.wrong(error)
    }
  }
</script>

<div class="border-base-300 mt-3 border-t pt-3 first-of-type:border-0">
  <div class="flex flex-wrap items-baseline gap-x-3">
    <h3 class="font-semibold capitalize">{stroke.stroke}</h3>
    <strong
      class:text-success={advice.decision === 'step up'}
      class:text-error={advice.decision === 'step back'}
    >
      <span aria-hidden="true">{signs[advice.decision]}</span>
      {advice.decision}
    </strong>
    <button class="link ml-auto text-sm" onclick={() => (open = advice.derivation)}
      >How this came about</button
    >
  </div>
  <ol class="ladder" aria-label="Quality ladder of the {stroke.stroke}">
    {#each stroke.ladder as rung (rung)}
      <li
        class:here={rung === advice.rung}
        class:next={rung === advice.next && rung !== advice.rung}
        aria-current={rung === advice.rung ? 'step' : undefined}
      >
        {rung}
      </li>
    {/each}
  </ol>
  <p class="mt-1">{advice.reason}</p>
  {#if advice.beside.length}
    <ul class="hint mt-1 text-sm" aria-label="Beside it, of the {stroke.stroke}">
      {#each advice.beside as sentence (sentence)}<li>{sentence}</li>{/each}
    </ul>
  {/if}
  {#if stroke.milestones.length}
    <p class="mt-1 flex flex-wrap gap-x-3 text-sm">
      <span>Certificates:</span>
      {#each stroke.milestones as passed (passed.rung)}
        <a
          class="link"
          href="/api/out/students/{student}/certificate.pdf?{new URLSearchParams({
            stroke: stroke.stroke,
            rung: passed.rung,
          })}"
          download>{passed.rung}<span class="sr-only">{` of the ${stroke.stroke} (.pdf)`}</span></a
        >
      {/each}
    </p>
  {/if}
  {#if advice.next !== advice.rung}
    <button class="btn btn-sm mt-2" onclick={() => stand(advice.next)}
      >Go {advice.decision === 'step up' ? 'up' : 'back'} to {advice.next}</button
    >
  {/if}
</div>
<DerivationDialog derivation={open} onclose={() => (open = null)} />

<style>
  .ladder {
    display: grid;
    grid-template-columns: repeat(5, minmax(0, 1fr));
    margin-top: 0.5rem;
    font-size: 0.875rem;
  }
  .ladder li {
    border-top: 3px solid var(--color-base-300);
    padding: 0.55rem 0.25rem 0.1rem 0;
    position: relative;
  }
  .ladder li::before {
    content: '';
    position: absolute;
    left: 0;
    top: -9px;
    width: 3px;
    height: 15px;
    background: var(--color-base-content);
  }
  .here {
    font-weight: 700;
  }
  .here::before {
    width: 15px !important;
    border-radius: 8px;
    background: var(--color-primary) !important;
  }
  .next {
    text-decoration: underline dashed 2px;
    text-underline-offset: 4px;
  }
</style>
