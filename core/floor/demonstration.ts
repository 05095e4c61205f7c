import { elementOf, ELEMENTS, type ElementId } from '../grading'
import { mean } from '../statistics'

/** How one student did at one element, over a day. */
export interface ElementDay {
  readonly studentId: string
  readonly element: ElementId
  readonly tried: number
  readonly sound: number
}

/** What a section gets wrong most on a day. */
export interface WrongMost {
  readonly element: ElementId
  /** Mean share that was not sound, over the students who tried it, 0 to 1. */
  readonly unsound: number
  /** Students with any of it not sound, and students who tried it. */
  readonly students: number
  readonly of: number
}

/**
 * What most of a section would gain from seeing shown: the element whose share of unsound work, over students, weighs
 * most in the score. Each student counts once, however many coupons: one who tries much is not the section.
 * @returns null where nothing was unsound
 */
export function wrongMost(rows: readonly ElementDay[]): WrongMost | null {
  const found = ELEMENTS.flatMap(({ id, weight }): (WrongMost & { readonly weighs: number })[] => {
    const own = new Map<string, { tried: number; sound: number }>()
    for (const row of rows.filter(one => one.element === id && one.tried > 0)) {
      const before = own.get(row.studentId) ?? { tried: 0, sound: 0 }
      own.set(row.studentId, { tried: before.tried + row.tried, sound: before.sound + row.sound })
    }
    if (own.size === 0) return []
    const shares = [...own.values()].map(({ tried, sound }) => 1 - sound / tried)
    const students = shares.filter(share => share > 0).length
    const unsound = mean(shares)
    return students === 0 ? [] : [{ element: id, unsound, students, of: own.size, weighs: weight * unsound * students }]
  })
  const [most] = found.sort((a, b) => b.weighs - a.weighs)
  return most ? { element: most.element, unsound: most.unsound, students: most.students, of: most.of } : null
}

/** @example sayWrongMost({ element: 'restart', unsound: 0.5, students: 7, of: 9 }) // 'Restarts: 7 of 9 students, …' */
export const sayWrongMost = ({ element, unsound, students, of }: WrongMost): string =>
  `${elementOf(element).name}: ${students} of ${of} students, ${Math.round(100 * unsound)} % of theirs not sound`

/** How long a demonstration takes, min. Common practice. */
export const DEMONSTRATION_MINUTES = 10

/** What to show for each element, in ten minutes. Source: common practice of the shop floor. */
const SHOWN: Readonly<Record<ElementId, string>> = {
  'start': 'Strikes: ahead in the line, shorten at once, back over the strike. Six strikes, then one bead each.',
  'restart': 'Restarts: chip and brush the crater, strike ahead, once round the crater and go. Everybody does two.',
  'tie-in': 'Tie-ins: feather the stop, run in until the keyhole is whole, and over it before the arc is broken.',
  'run': 'One bead with the arc listened to: who hears it grow long says so.',
  'root': 'The keyhole: open it, hold it, close it, and what rod angle and speed do to it.',
  'toes': 'Toes: wait at each side until it is full; then the same bead hurried, and both looked at.',
  'overlap': 'Laps of a pad: where the rod points on the bead before. Three beads side by side.',
  'width': 'Even width: the step and the pause counted aloud.',
  'straightness': 'The line: braced, a dry run with the hood up, then the bead.',
  'size': 'Size: the gauge on three coupons, and what travel does to it.',
  'ends': 'Ends: step back, fill the crater to full width, then break. And what a short end looks like.',
  'clean-up': 'Cleaning: chip away from you, brush to bright metal, and what slag hides.',
}

/** The demonstration that an element asks for. @example demonstrationOf('ends') */
export const demonstrationOf = (element: ElementId): string => SHOWN[element]
