/** What is graded on a practice coupon, in the order a reading goes. */
export type ElementId =
  | 'start'
  | 'restart'
  | 'tie-in'
  | 'run'
  | 'toes'
  | 'overlap'
  | 'width'
  | 'straightness'
  | 'ends'
  | 'clean-up'
  | 'root'
  | 'size'

export interface Element {
  readonly id: ElementId
  readonly name: string
  /** What is counted: tries, millimetres of bead, pairs of beads, beads, gauge readings, or the whole coupon. */
  readonly counted: 'tries' | 'mm' | 'pairs' | 'beads' | 'readings' | 'coupon'
  /** Weight in the score. Source: common practice (restarts are the heart of grading). */
  readonly weight: number
}

export const ELEMENTS: readonly Element[] = [
  { id: 'start', name: 'Arc starts', counted: 'tries', weight: 2 },
  { id: 'restart', name: 'Restarts', counted: 'tries', weight: 3 },
  { id: 'tie-in', name: 'Tie-ins', counted: 'tries', weight: 2 },
  { id: 'run', name: 'Sound run', counted: 'mm', weight: 3 },
  { id: 'root', name: 'Root side', counted: 'mm', weight: 3 },
  { id: 'toes', name: 'Toes', counted: 'mm', weight: 2 },
  { id: 'overlap', name: 'Lap of beads', counted: 'pairs', weight: 1 },
  { id: 'width', name: 'Even width', counted: 'beads', weight: 1 },
  { id: 'size', name: 'Size and profile', counted: 'readings', weight: 2 },
  { id: 'straightness', name: 'Straightness', counted: 'beads', weight: 1 },
  { id: 'ends', name: 'Ends', counted: 'tries', weight: 2 },
  { id: 'clean-up', name: 'Clean-up', counted: 'coupon', weight: 0.5 },
]

/** The element with this id. @throws RangeError when there is none */
export function elementOf(id: string): Element {
  const found = ELEMENTS.find(element => element.id === id)
  if (!found) throw new RangeError(`No element "${id}"`)
  return found
}
