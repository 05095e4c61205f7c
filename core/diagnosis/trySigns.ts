import type { CouponDocument, TryKind, TryMark } from '../coupon'
import { isTry } from '../coupon'
import type { Sign } from './sign'
import type { SignId } from './signTable'

const FAULT_SIGNS: readonly (readonly [SignId, readonly TryKind[], readonly string[]])[] = [
  ['restart high', ['restart', 'tie-in'], ['high']],
  ['restart low', ['restart', 'tie-in'], ['low', 'gap']],
  ['restart off line', ['restart', 'tie-in'], ['off line']],
  ['restart slag', ['restart', 'tie-in'], ['slag']],
  ['restart pinholes', ['restart', 'tie-in'], ['pinholes']],
  ['start stuck', ['start'], ['stuck', 'cold']],
  ['start pinholes', ['start'], ['pinholes']],
  ['start poor', ['start'], ['lump', 'not burnt over']],
  ['crater', ['end'], ['crater']],
  ['ends low', ['end'], ['low', 'short of the edge', 'run off']],
]

/** Of fewer tries one bad one says no more than one of this number. Common practice. */
export const FEWEST_TRIES = 5

/** The signs that bad starts, restarts and ends are. */
export function trySigns(document: CouponDocument): Sign[] {
  const tries = document.marks.filter(isTry)
  return FAULT_SIGNS.flatMap(([id, kinds, faults]): Sign[] => {
    const tried = tries.filter((mark): mark is TryMark => kinds.includes(mark.kind))
    const bad = tried.filter(mark => mark.degree !== 'sound' && faults.includes(mark.fault ?? ''))
    return bad.length === 0
      ? []
      : [
          {
            id,
            markIds: bad.map(mark => mark.id),
            share: bad.length / Math.max(tried.length, FEWEST_TRIES),
            tries: { bad: bad.length, of: tried.length },
          },
        ]
  })
}
