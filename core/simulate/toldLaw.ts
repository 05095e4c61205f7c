import { logistic, type Random } from '../statistics'
import type { SignId } from '../diagnosis'
import { heatOf } from './padRun'
import type { Technique } from './technique'

/** Of what they felt and heard, students say this share unasked. */
const SAID = 0.6
/** And so often they answer truly when they are asked. */
const TRUE_ANSWER = 0.85

type Law = (off: (id: keyof Technique) => number, heat: number) => number

/** How likely each of these was met, as a threshold that each departure eats into. */
const LAWS: Readonly<Partial<Record<SignId, Law>>> = {
  'arc fluttered': off => -3.6 + 3.4 * off('arc long'),
  'arc goes out': (off, heat) => -4.2 + 2.8 * Math.max(0, -heat) + 0.8 * off('arc long'),
  'rod sticks': (off, heat) => -3.6 + 3.2 * off('arc short') + 1.8 * Math.max(0, -heat),
  'rod glows': (_, heat) => -5 + 3.6 * Math.max(0, heat),
  'puddle churns': (_, heat) => -4.2 + 2.8 * Math.max(0, heat),
  'puddle sluggish': (off, heat) => -3.6 + 2.6 * Math.max(0, -heat) + 0.5 * off('travel slow'),
  'slag ran ahead': off => -3.8 + 1.4 * off('travel slow'),
  'slag runny': (off, heat) => -3.6 + 1.6 * off('plate hot') + 0.6 * Math.max(0, heat),
  'keyhole grew': (off, heat) => -3.6 + 3.6 * off('gap wide') + 0.9 * Math.max(0, heat),
  'keyhole closed': (off, heat) => -3.6 + 3.2 * off('gap tight') + Math.max(0, -heat) + 0.9 * off('root far out'),
  'puddle one side': off => -3.8 + 3.4 * off('off the joint'),
  'sparks in front': (off, heat) =>
    -3.4 + 2.6 * off('gap tight') + 2.2 * off('root far out') + 0.9 * Math.max(0, -heat),
  'slag locked': (_, heat) => -2.2 + 0.8 * Math.max(0, -heat),
  'chipped red': off => -2.8 + 0.8 * off('plate hot'),
  'tip swollen': off => -3.4 + 2.4 * off('damp rod'),
  'rod lit again': () => -1.8,
  'plate dirty': () => -3,
  'rod went far': off => -3.2 + 2 * off('travel fast'),
  'rod went short': off => -3.2 + 2 * off('travel slow'),
  'back cold': (off, heat) => -2.6 + 1.6 * Math.max(0, -heat) + 0.9 * off('travel fast'),
  'back burnt': (off, heat) => -3.2 + 1.6 * Math.max(0, heat) + 1.2 * off('plate hot') + 0.9 * off('travel slow'),
  'whip sideways': () => -3.2,
  'wide': (off, heat) => -3 + 2.4 * Math.max(0, heat) + 2.2 * off('travel slow') + 2 * off('arc long'),
  'narrow': (off, heat) => -3 + 2.2 * Math.max(0, -heat) + 2.6 * off('travel fast'),
}

/** What a student met while the coupon was run. */
export function metBy(technique: Technique, random: Random): ReadonlySet<SignId> {
  const heat = heatOf(technique)
  const off = (id: keyof Technique) => technique[id] ?? 0
  const laws = Object.entries(LAWS) as [SignId, Law][]
  return new Set(laws.filter(([, law]) => random.chance(logistic(law(off, heat)))).map(([id]) => id))
}

/** What is said unasked, of what this piece can tell. */
export const saidUnasked = (met: ReadonlySet<SignId>, canTell: readonly SignId[], random: Random): SignId[] =>
  canTell.filter(id => met.has(id) && random.chance(SAID))

/** What is answered when it is asked: mostly what was so. */
export const answered = (met: ReadonlySet<SignId>, sign: SignId, random: Random): 'yes' | 'no' =>
  met.has(sign) === random.chance(TRUE_ANSWER) ? 'yes' : 'no'
