import type { GameAward, GameRestriction, GameRules } from '../../lib/api/client'

/** A choice within a sentence; the empty one is what goes without saying. */
interface Choice<T extends string> {
  value: T | ''
  label: string
}

export const scores: Choice<NonNullable<GameRules['score']>>[] = [
  { value: '', label: 'scored by side' },
  { value: 'each player’s own', label: 'each with their own score' },
]
export const feeds: (Choice<NonNullable<GameRules['feed']['kind']>> & { does: string })[] = [
  { value: '', label: 'a serve', does: 'serves' },
  { value: 'a player feeds', label: 'a feed by a player', does: 'feeds' },
  { value: 'the coach feeds', label: 'a feed by the coach', does: 'is fed to' },
]
export const changes: Choice<NonNullable<GameRules['feed']['changes']>>[] = [
  { value: '', label: 'always the same side' },
  { value: 'every so many rallies', label: 'the other side' },
  { value: 'to who won', label: 'who won' },
  { value: 'to who lost', label: 'who lost' },
  { value: 'to the next player in turn', label: 'the next player in turn' },
]
export const sidesOrNone: Choice<'near' | 'far'>[] = [
  { value: '', label: 'Nobody' },
  { value: 'near', label: 'near' },
  { value: 'far', label: 'far' },
]
export const restarts: Choice<NonNullable<GameRules['after']['restart']>>[] = [
  { value: '', label: 'from the start places' },
  { value: 'from where they stand', label: 'from where they stand' },
]
export const turnings: Choice<NonNullable<GameRules['rotation']['how']>>[] = [
  { value: '', label: 'one place on to the right' },
  { value: 'one place on to the left', label: 'one place on to the left' },
  {
    value: 'winners stay, losers change with who waits',
    label: 'winners stay, losers change with who waits',
  },
]
export const whose: Choice<NonNullable<GameAward['by']>>[] = [
  { value: '', label: 'either side' },
  { value: 'the side that feeds', label: 'the side that feeds' },
  { value: 'the side that receives', label: 'the side that receives' },
  { value: 'the side that holds the net', label: 'the side at the net' },
  { value: 'the near side', label: 'the near side' },
  { value: 'the far side', label: 'the far side' },
]
export const endings: Choice<NonNullable<GameAward['ends']>>[] = [
  { value: '', label: 'counts beside the rally' },
  { value: 'wins the rally', label: 'wins the rally' },
  { value: 'loses the rally', label: 'loses the rally' },
  { value: 'wins the game', label: 'wins the game' },
]
export const kept: { value: GameRestriction['kind']; label: string }[] = [
  { value: 'cross-court only', label: 'plays cross-court only' },
  { value: 'on half of the court', label: 'plays on half of the court' },
  { value: 'has to come in', label: 'has to come in' },
  { value: 'may not step back', label: 'may not step back' },
  { value: 'has to let the ball bounce', label: 'has to let the ball bounce' },
  { value: 'may not come in before a short ball', label: 'may not come in before a short ball' },
  { value: 'may not come in on the feed', label: 'may not come in on the feed' },
  { value: 'has to be played so', label: 'has to play it so' },
]

/** What is wrong under a path, each once. */
export const among = (errors: Record<string, string>, path: string) => [
  ...new Set(
    Object.entries(errors)
      .filter(([at]) => at === path || at.startsWith(`${path}.`))
      .map(([, message]) => message),
  ),
]
