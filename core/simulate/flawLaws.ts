import { setDegree, type TryKind, type TryMark } from '../coupon'
import type { CauseId } from '../diagnosis'
import { logistic, type Random } from '../statistics'
import type { DiscontinuityId } from '../trade'
import type { Technique } from './technique'

/** Of what shows on a bead the instructor marks most, not all. */
export const MARKED = 0.75

/** One run as it was made: what was off in it, and how hot it ran: 1 is plainly hot, -1 plainly cold. */
export interface Run {
  readonly off: (id: CauseId) => number
  readonly heat: number
  /** How much a plate that is not cooled has warmed by this run, in the same units. */
  readonly warmed: number
}

export const runOf = (technique: Technique, heat: number, warmed = 0): Run => ({
  off: id => technique[id] ?? 0,
  heat,
  warmed,
})

type Side = 'upper' | 'lower' | 'both' | null
/** A flaw that may come about, with its chance and the side it sits on. */
export type FlawChance = readonly [flaw: DiscontinuityId, chance: number, side: Side]

/** Chance of each flaw on a bead, from a threshold that each departure eats into. */
export function onBead({ off, heat, warmed }: Run): FlawChance[] {
  const speed = off('travel fast') - off('travel slow')
  const hot = Math.max(0, heat) + warmed
  const cold = Math.max(0, -heat)
  const long = off('arc long')
  const lean = off('travel angle')
  return [
    ['undercut', logistic(-3.6 + 2.3 * hot + 1.9 * long + 2 * Math.max(0, speed) + 1.3 * lean), 'both'],
    ['undercut', logistic(-3.8 + 3.4 * off('work angle') + 0.6 * hot), 'upper'],
    ['overlap', logistic(-4 + 2.6 * Math.max(0, -speed) + 1.8 * lean + 0.9 * cold), 'both'],
    ['sagging', logistic(-4.2 + 1.6 * off('work angle') + 1.6 * lean + 0.9 * hot), 'lower'],
    ['porosity', logistic(-4 + 2 * long + 2.8 * off('damp rod') + 1.1 * lean), null],
    ['spatter', logistic(-3.6 + 2.9 * long + 1.9 * hot), null],
    ['slag', logistic(-3.8 + 3.6 * off('not cleaned') + 1.4 * cold + 1.2 * lean + 0.9 * off('arc short')), null],
    [
      'excess weld metal',
      logistic(-3.8 + 2.6 * cold + 1.8 * Math.max(0, -speed) + 1.9 * off('arc short') + 1.6 * lean),
      null,
    ],
    ['underfill', logistic(-4 + 2.6 * Math.max(0, speed) + 1.2 * hot), null],
    [
      'irregular width',
      logistic(-3.8 + 3.5 * off('unsteady feed') + 1.8 * long + 1.1 * off('arc short') + 0.8 * off('bracing')),
      null,
    ],
    ['irregular surface', logistic(-4 + 2.1 * hot + 1.5 * Math.max(0, speed) + 1 * long), null],
    ['crooked', logistic(-3.6 + 3.6 * off('bracing')), null],
    ['lap', logistic(-3.6 + 3.6 * off('aim') + 0.8 * off('bracing')), null],
    ['arc strike', logistic(-3.6 + 2.6 * off('strike')), null],
    ['crack', logistic(-7 + 2 * off('crater left')), null],
    ['incomplete fusion', logistic(-5.4 + 2 * cold + 0.8 * Math.max(0, speed)), null],
  ]
}

/** In a joint there are walls to miss; there is no lap between beads of a pad. */
export const inJoint = (run: Run): FlawChance[] => [
  ...onBead(run).filter(([flaw]) => flaw !== 'lap' && flaw !== 'crooked'),
  ['incomplete fusion', logistic(-4.6 + 3.4 * run.off('off the joint')), 'upper'],
]

/** What an open root shows from its own side. */
export function onRoot({ off, heat }: Run): FlawChance[] {
  const speed = off('travel fast') - off('travel slow')
  const cold = Math.max(0, -heat)
  const hot = Math.max(0, heat)
  return [
    [
      'incomplete penetration',
      logistic(-3.4 + 3.6 * off('gap tight') + 2.2 * cold + 1.2 * Math.max(0, speed) + 0.9 * off('root far out')),
      null,
    ],
    ['excess penetration', logistic(-3.4 + 3.2 * off('gap wide') + 1.7 * hot + 1 * Math.max(0, -speed)), null],
    [
      'root concavity',
      logistic(-3.4 + 3.2 * off('root far out') + 1.3 * off('arc long') + 1.1 * off('gap wide') + 0.9 * hot),
      null,
    ],
    ['melt-through', logistic(-5.4 + 1.8 * off('gap wide') + 1.4 * hot), null],
  ]
}

/** A try as the run made it: the first fault that comes about and is marked, else as it was. */
export function tried(mark: TryMark, run: Run, random: Random): TryMark {
  for (const [fault, chance] of faultChances(mark.kind, run))
    if (random.chance(chance)) return { ...(setDegree(mark, 3) as TryMark), fault }
  return mark
}

/** Chance that each fault of a try comes about and is marked, where none before it was, in their order. */
export const faultChances = (kind: TryKind, run: Run): readonly (readonly [fault: string, chance: number])[] =>
  FAULT_LAWS[kind].map(([fault, law]) => [fault, logistic(law(run)) * MARKED])

type Law = (run: Run) => number
const FAULT_LAWS: Readonly<Record<TryKind, readonly (readonly [string, Law])[]>> = {
  'start': [
    ['stuck', ({ off, heat }) => -3.8 + 1.8 * Math.max(0, -heat) + 1.3 * off('strike') + 1.2 * off('arc short')],
    ['pinholes', ({ off }) => -3.8 + 2.6 * off('damp rod') + 1.2 * off('strike') + 0.7 * off('arc long')],
    ['lump', ({ off }) => -3.4 + 2.4 * off('strike')],
  ],
  'restart': [
    ['high', ({ off }) => -3.2 + 3.4 * off('too long in crater')],
    ['low', ({ off }) => -3.2 + 3.4 * off('too short in crater')],
    ['off line', ({ off }) => -3.6 + 1.8 * off('bracing')],
    ['slag', ({ off }) => -3.8 + 2.6 * off('not cleaned')],
  ],
  'tie-in': [
    ['high', ({ off }) => -3.2 + 3.4 * off('too long in crater')],
    ['low', ({ off }) => -3.2 + 3.4 * off('too short in crater')],
  ],
  'end': [
    ['crater', ({ off }) => -3.4 + 3.4 * off('crater left')],
    ['low', ({ off }) => -3.6 + 3.4 * off('ends') + 0.6 * off('crater left')],
  ],
}
