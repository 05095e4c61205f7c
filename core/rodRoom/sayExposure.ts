import type { Exposure, HandfulState } from './exposure'

/** Time in whole minutes: a clock that is looked at from a booth. @example sayLeft(1.55) // '1 h 33 min' */
export function sayLeft(hours: number): string {
  const minutes = Math.floor(hours * 60 + 1e-6)
  return minutes >= 60 ? `${Math.floor(minutes / 60)} h ${minutes % 60} min` : `${minutes} min`
}

/** How a handful stands, as it is said at the window. @param clock a moment as the time on the shop's wall */
export function sayExposure({ state, leftHours, until }: Exposure, clock: (moment: string) => string): string {
  const words: Readonly<Record<HandfulState, () => string>> = {
    'out': () => `${sayLeft(leftHours)} left, until ${clock(until!)}`,
    'past': () => 'past their hours: bring them back',
    'resting': () => `in the oven, as fresh at ${clock(until!)}; ${sayLeft(leftHours)} left before that`,
    'fresh': () => 'in the oven, as fresh',
    'to re-dry': () => 'past their hours: re-dry them, once',
    'bin': () => 're-dried once and past their hours: bin them',
  }
  return words[state]()
}
