<script lang="ts">
  import Court from '../../court/Court.svelte'
  import { type Point, type Shape } from '../../lib/api/client'
  import { courtsQuery } from '../../lib/page/data'
  import { hasNet } from '../../court/kind'

  /** The half of the court with the target, to point at where a ball landed. */
  interface Props {
    court: string
    aim: Shape
    at: Point | undefined
    onpoint: (place: Point) => void
  }
  let { court, aim, at, onpoint }: Props = $props()
  const courts = courtsQuery()
  const found = $derived(courts.data?.find((each) => each.id === court))
  /** The ball as a sign that can be dragged, or moved with the arrow keys. */
  const ball = $derived(
    at && {
      handle: 'ball.landing',
      label: 'ball',
      description: 'where it landed; arrow keys move it',
      at,
      mark: {},
      parts: [],
      removable: false,
      size: 0,
    },
  )
  const crop = $derived(found && hasNet(found) ? (aim.centre.y > 0 ? 'far half' : 'near half') : 'all')
</script>

{#if found}
  <div class="landing">
    <Court
      report={{
        court: found,
        spots: ball ? [ball] : [],
        feeds: [],
        measures: [{ number: 1, target: aim }],
        noGo: [],
        noGoLines: [],
      }}
      label="Where the ball landed: point at it, then say made or missed"
      {crop}
      {onpoint}
      onmove={(_, place) => onpoint(place.to)}
    />
    <button class="btn btn-sm mt-1" onclick={() => onpoint({ x: aim.centre.x, y: aim.centre.y })}
      >It landed on the mark</button
    >
  </div>
{:else}
  <p class="px-1 text-sm">The court can only be drawn once Hodometer answers; made and missed still count.</p>
{/if}

<style>
  .landing {
    align-self: center;
    width: min(100%, 20rem);
  }
  .landing :global(svg) {
    width: 100%;
    min-width: 0;
    cursor: crosshair;
  }
</style>
