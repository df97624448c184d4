import type { StandAsked, StandSchool } from '../lib/api/client'

/** Standing is what a coach chose about where to stand, as it is remembered. */
export interface Standing extends Pick<StandAsked, 'court' | 'level' | 'opponent' | 'hand' | 'theirHand'> {
  /** The situation's identifier; empty for the first of the sport. */
  situation: string
  school: StandSchool
}

export const firstStanding: Standing = {
  court: 'tennis',
  situation: '',
  school: 'to the likely reply',
  level: 'club player',
  opponent: 'club player',
  hand: 'right',
  theirHand: 'right',
}

/** The schools, and what each goes by. */
export const schools: { value: StandSchool; label: string }[] = [
  { value: 'to the likely reply', label: 'to the likely reply: most is held' },
  { value: 'cover and concede', label: 'cover and concede: the rest is let go' },
  { value: 'nothing given away', label: 'nothing given away: the worst is least bad' },
  { value: 'back to the middle', label: 'back to the middle, by rote' },
]

/** placeRefused is what is wrong with where the opponent hits from, if anything is. */
export const placeRefused = (errors: Record<string, string>) => errors.deep ?? errors.across ?? errors.high
