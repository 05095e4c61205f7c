import { FULL_LADDER, type Ladder, type LadderRung } from '../core/ladder'

/** What the made-up school climbs, in its own order. */
const CLIMBED = [
  'arc strikes',
  'flat pad',
  'flat pad, stubs',
  'restart strip',
  'square butt',
  'horizontal pad',
  'T fillet 2F',
  'vertical pad',
  'T fillet 3F',
  'overhead pad',
  'T fillet 4F',
  'V with backing 3G',
  'open root 3G',
  'pipe 2G',
  'pipe 5G',
  'pipe 6G',
]
const ids = new Set(FULL_LADDER.rungs.filter(rung => CLIMBED.includes(rung.name)).map(rung => rung.id))
const needsOf: Readonly<Record<string, readonly string[]>> = {
  'T fillet 2F': ['horizontal-pad'],
  'V with backing 3G': ['t-fillet-3f'],
  'pipe 2G': ['open-root-3g'],
}

/**
 * A pad, joint or pipe moves on with two good ones of the last four; what is drilled goes by the evidence of its
 * tries.
 */
const ruleOf = (rung: LadderRung): LadderRung['signOff'] =>
  rung.signOff.by === 'in a row' ? { by: 'of the last', good: 2, last: 4 } : rung.signOff

/** The school's own ladder: fewer joints than the shipped one; all else is retired. */
export const SCHOOL_LADDER: Ladder = {
  name: 'Gannet Quay, pads to pipe',
  rungs: [
    ...CLIMBED.map(name => {
      const rung = FULL_LADDER.rungs.find(row => row.name === name)!
      return { ...rung, signOff: ruleOf(rung), needs: needsOf[name] ?? rung.needs.filter(id => ids.has(id)) }
    }),
    ...FULL_LADDER.rungs.filter(rung => !ids.has(rung.id)).map(rung => ({ ...rung, retired: true })),
  ],
}
