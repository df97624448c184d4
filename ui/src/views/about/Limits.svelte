<script lang="ts">
  /** What the figures rest on that nobody can see on the court, in plain words. */
  const groups = [
    {
      title: 'The player',
      items: [
        'Speed, reach and reaction are those of a level and an age, not this person’s: tired legs, a sore shoulder, new shoes and a cold morning are not in them.',
        'How a stroke scatters is taken from the level until something is counted, and then only as widely as the counts say. Why a ball was missed, nobody counts.',
        'What an opponent is likely to play is common practice until you type your own chances or tap what you see; this opponent’s habits are yours to know.',
        'Nobody reads the ball better or worse than the level does. A player who sees it early has more time than is said here; one who guesses has less.',
        'Practice is not a match: nerves, the score and an opponent who wants the point are not in any figure of a drill.',
      ],
    },
    {
      title: 'The ball and the court',
      items: [
        'Balls are as their rules say when they are new. Old, wet, cold or soft ones fly shorter and bounce lower.',
        'A surface is the same everywhere: no line, no seam, no wet spot, no slope.',
        'Wind is one figure for the whole court, and the air is still indoors.',
        'A shuttle flies like a ball with much drag; how it turns over at the start is not worked out. Of a serve at a table the first bounce, on the server’s half, is taken to be good.',
      ],
    },
    {
      title: 'The feeder and the group',
      items: [
        'Feeds scatter as much as is set under “how alike your feeds are”, and are never held back for a player in trouble.',
        'Changing over, picking up and explaining take as long as the settings say. Talking, and laughing, take as long as they take.',
        'Everybody in a line is taken for the one the drill is written for, unless it is tried on somebody.',
      ],
    },
    {
      title: 'Constants that nobody has measured',
      items: [
        'How hurry, a late and a low contact loosen a stroke, how often a level mishits, how long a player stands after a stroke, and how fast a hand throws are common practice or our own choice.',
        'Levels and ages are steps; people are not.',
      ],
    },
  ]
</script>

<h1>What this model cannot know</h1>
<p class="mt-2 max-w-2xl">
  Every figure is worked out from what is written down. Where it disagrees with what you see on court, believe
  the court, and count: counts move the figures towards this player. <a class="link" href="#/how-sure"
    >How sure these figures were</a
  > says what came true of them in your lessons.
</p>
{#each groups as group (group.title)}
  <section class="sheet mt-4 max-w-2xl" aria-label={group.title}>
    <h2>{group.title}</h2>
    <ul class="mt-2 flex list-disc flex-col gap-2 ps-5">
      {#each group.items as item (item)}<li>{item}</li>{/each}
    </ul>
  </section>
{/each}
<p class="hint mt-4 max-w-2xl text-sm">
  No medical advice. Local safeguarding, club and federation rules and licensed practice come first; pain
  means stop.
</p>
