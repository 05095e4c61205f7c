import type { ElementId } from '../grading'
import { DEFAULT_HOUSE_RULES } from '../house'
import { knownRungs } from '../setup'
import type { Ladder, LadderRung } from './ladder'
import type { SignOffRule } from './signOffRule'

/*
 * What each rule lets through is in the table of shippedLadders.test.ts: a student whose work is good half of the time
 * is signed off by luck. Three in a row (common practice) does so to one in four over five coupons, and to one in two
 * over ten: long rungs that a test follows want four.
 */
/** As many good coupons in a row as the house rules say. */
const IN_A_ROW: SignOffRule = { by: 'in a row', good: null }
const FOUR_IN_A_ROW: SignOffRule = { by: 'in a row', good: 4 }
/** Practice beside the way: no rung but its own rests on it. */
const TWO_IN_A_ROW: SignOffRule = { by: 'in a row', good: 2 }

const PLATE: readonly ElementId[] = ['start', 'run', 'overlap', 'straightness']
const FILLET: readonly ElementId[] = ['run', 'toes', 'size']
const ROOT: readonly ElementId[] = ['root', 'restart', 'tie-in']

const idOf = (name: string) => name.toLowerCase().replace(/[^a-z0-9]+/g, '-')

/** A rung by the name it is known by; `name` may add to it (`flat pad, stubs`). */
function rung(
  known: string,
  needs: readonly string[],
  coupons: number,
  trains: readonly ElementId[],
  more: Partial<LadderRung> = {},
): LadderRung {
  const { piece, position, open } = knownRungs(DEFAULT_HOUSE_RULES).find(row => row.name === known)!
  const name = more.name ?? known
  return {
    id: idOf(name),
    name,
    piece,
    position,
    open,
    rods: 'new',
    hand: 'own',
    coupons,
    needs: needs.map(idOf),
    trains,
    signOff: IN_A_ROW,
    retired: false,
    ...more,
  }
}

const STUBS = (pad: string): LadderRung =>
  rung(pad, [pad], 4, ['restart'], {
    name: `${pad}, stubs`,
    rods: 'stubs',
    signOff: { by: 'LC-CUSUM', element: 'restart', acceptable: 0.1, unacceptable: 0.3, limit: 2.25 },
  })
const OTHER_HAND = (pad: string): LadderRung =>
  rung(pad, [pad], 3, ['run'], { name: `${pad}, other hand`, hand: 'other', signOff: TWO_IN_A_ROW })

/** From the first arc to pipe in 6G. Source: common practice, the order in which schools climb positions and joints. */
export const FULL_LADDER: Ladder = {
  name: 'Arc strikes to pipe in 6G',
  rungs: [
    rung('arc strikes', [], 2, ['start'], {
      signOff: { by: 'enough evidence', element: 'start', rate: 0.6, sure: 0.9 },
    }),
    rung('flat pad', ['arc strikes'], 8, PLATE),
    STUBS('flat pad'),
    OTHER_HAND('flat pad'),
    rung('restart strip', ['flat pad'], 4, ['restart'], {
      rods: 'stubs',
      signOff: { by: 'enough evidence', element: 'restart', rate: 0.7, sure: 0.9 },
    }),
    rung('horizontal pad', ['flat pad'], 6, PLATE),
    STUBS('horizontal pad'),
    rung('vertical pad', ['horizontal pad'], 8, PLATE),
    STUBS('vertical pad'),
    rung('overhead pad', ['vertical pad'], 7, PLATE),
    STUBS('overhead pad'),
    rung('square butt', ['flat pad'], 3, ['run']),
    rung('lap 2F', ['horizontal pad'], 3, FILLET),
    rung('outside corner', ['square butt'], 2, ['run'], { signOff: TWO_IN_A_ROW }),
    rung('T fillet 1F', ['flat pad'], 4, FILLET),
    rung('T fillet 2F', ['lap 2F'], 5, FILLET),
    rung('T fillet 3F', ['vertical pad', 'T fillet 2F'], 5, FILLET),
    rung('T fillet 4F', ['overhead pad', 'T fillet 3F'], 5, FILLET),
    rung('V with backing 1G', ['T fillet 2F'], 4, ['run', 'tie-in']),
    rung('V with backing 2G', ['V with backing 1G'], 5, ['run', 'restart']),
    rung('V with backing 3G', ['V with backing 2G', 'T fillet 3F'], 6, ['run', 'restart']),
    rung('V with backing 4G', ['V with backing 3G', 'T fillet 4F'], 6, ['run', 'restart']),
    rung('open root 1G', ['V with backing 1G'], 5, ROOT),
    rung('open root 2G', ['open root 1G', 'V with backing 2G'], 6, ROOT),
    rung('open root 3G', ['open root 2G', 'V with backing 3G'], 7, ROOT, { signOff: FOUR_IN_A_ROW }),
    rung('open root 4G', ['open root 3G', 'V with backing 4G'], 6, ROOT),
    rung('pipe 2G', ['open root 2G'], 6, ROOT),
    rung('pipe 5G', ['pipe 2G', 'open root 3G'], 8, ROOT, { signOff: FOUR_IN_A_ROW }),
    rung('pipe 6G', ['pipe 5G'], 10, ROOT, { signOff: FOUR_IN_A_ROW }),
  ],
}

/** Structural work only: pads, fillets, and grooves with backing. Source: common practice. */
export const STRUCTURAL_LADDER: Ladder = {
  name: 'Structural: pads to 3G and 4G with backing',
  rungs: FULL_LADDER.rungs
    .filter(
      ({ name, open, piece }) => !open && !/other hand|corner|square butt/.test(name) && piece !== 'restart strip',
    )
    .map(row => ({ ...row, needs: row.needs.filter(id => id !== 'square-butt') })),
}

export const SHIPPED_LADDERS: readonly Ladder[] = [FULL_LADDER, STRUCTURAL_LADDER]
