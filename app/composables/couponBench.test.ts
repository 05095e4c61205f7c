import { describe, expect, it, vi } from 'vitest'
import { reactive } from 'vue'
import { newFlaw, putMark, type CouponDocument } from '~~/core/coupon'
import { aCoupon, aJoint } from '~~/core/coupon/example'
import { DEFAULT_HOUSE_RULES } from '~~/core/house'
import { makeCouponBench, middleOf } from './couponBench'

function aBench(coupon: CouponDocument = aCoupon()) {
  const changed = vi.fn()
  const bench = reactive(makeCouponBench({ rulesOf: () => DEFAULT_HOUSE_RULES, changed }))
  bench.putDown(coupon)
  return { bench, changed }
}
let next = 0
function mark(bench: ReturnType<typeof aBench>['bench']): string {
  const flaw = newFlaw(bench.coupon!, `flaw-${(next += 1)}`, 'undercut', bench.cursor)
  bench.edit(putMark(bench.coupon!, flaw), flaw.id)
  return flaw.id
}

describe('a bench', () => {
  it('opens untouched in the middle of the first bead that was welded, with no step to take back', () => {
    const pipe = aJoint()
    const { bench, changed } = aBench(pipe)
    const first = pipe.beads.find(bead => bead.face !== 'root')!
    expect(bench.cursor).toEqual(middleOf(pipe, first.id))
    expect([bench.touched, bench.canUndo, bench.canRedo, changed.mock.calls.length]).toEqual([false, false, false, 0])
  })

  it('takes every mark back and forward again, and says each time that it has changed', () => {
    const { bench, changed } = aBench()
    const empty = bench.coupon
    mark(bench)
    const one = bench.coupon
    mark(bench)
    bench.undo()
    expect(bench.coupon).toBe(one)
    bench.undo()
    expect(bench.coupon).toBe(empty)
    bench.undo()
    expect([bench.canUndo, bench.canRedo]).toEqual([false, true])
    bench.redo()
    expect(bench.coupon).toBe(one)
    expect(changed).toHaveBeenCalledTimes(6)
  })

  it('takes an earlier version up as an edit, on a bead that it has, and back again', () => {
    const { bench } = aBench(aCoupon({ beadCount: 6 }))
    bench.moveCursor(middleOf(bench.coupon!, 'b6'))
    const now = bench.coupon
    const earlier = aCoupon({ beadCount: 3 })
    bench.takeUpVersion(earlier)
    expect(bench.coupon).toBe(earlier)
    expect(earlier.beads.map(bead => bead.id)).toContain(bench.cursor.beadId)
    expect([bench.touched, bench.selectedId]).toEqual([true, null])
    bench.undo()
    expect(bench.coupon).toBe(now)
  })

  it('forgets the way forward once something else is marked', () => {
    const { bench } = aBench()
    mark(bench)
    bench.undo()
    mark(bench)
    expect(bench.canRedo).toBe(false)
  })

  it('no step leads back to the coupon that lay there before', () => {
    const { bench } = aBench()
    mark(bench)
    const second = aCoupon()
    bench.putDown(second)
    expect(bench.canUndo).toBe(false)
    mark(bench)
    bench.undo()
    expect(bench.coupon).toBe(second)
  })

  it('a coupon put aside keeps its own steps', () => {
    const { bench } = aBench()
    const empty = bench.coupon
    mark(bench)
    const marked = bench.coupon!
    const steps = bench.steps()
    bench.putDown(aCoupon())
    mark(bench)
    bench.putDown(marked)
    bench.takeUpSteps(steps)
    bench.undo()
    expect(bench.coupon).toBe(empty)
    bench.redo()
    expect(bench.coupon).toBe(marked)
  })

  it('two benches know nothing of each other', () => {
    const [mine, theirs] = [aBench().bench, aBench().bench]
    mark(mine)
    expect([mine.touched, theirs.touched, theirs.canUndo]).toEqual([true, false, false])
  })

  it('the cursor stays on a bead when the one it was on is taken away', () => {
    const { bench } = aBench()
    const last = bench.coupon!.beads.at(-1)!
    bench.moveCursor({ beadId: last.id, atMm: 20 })
    bench.addBead(-1)
    expect(bench.coupon!.beads.some(bead => bead.id === bench.cursor.beadId)).toBe(true)
    bench.undo()
    bench.moveCursor({ beadId: last.id, atMm: 20 })
    bench.redo()
    expect(bench.coupon!.beads.some(bead => bead.id === bench.cursor.beadId)).toBe(true)
  })

  it('one key asks whether what was told was done: yes, no, not asked; without advice it does nothing', () => {
    const { bench, changed } = aBench()
    bench.turnDone()
    expect(changed).not.toHaveBeenCalled()
    bench.putDown({ ...aCoupon(), toldBefore: { couponId: 'c', says: 'Close the arc', cause: null, done: null } })
    const turned = [0, 1, 2, 3].map(() => {
      bench.turnDone()
      return bench.coupon!.toldBefore!.done
    })
    expect(turned).toEqual(['yes', 'no', null, 'yes'])
  })

  it('an answer given twice is taken back, and leaves no trace', () => {
    const { bench } = aBench()
    const before = bench.coupon
    bench.answer('rod stuck', 'yes')
    expect(bench.coupon!.answers).toEqual({ 'rod stuck': 'yes' })
    bench.answer('rod stuck', 'yes')
    expect(bench.coupon).toEqual(before)
  })

  it('shows the marks of a reason one after the other, and round again', () => {
    const { bench } = aBench()
    const ids = [mark(bench), mark(bench)]
    bench.select(null)
    const shown = [0, 1, 2].map(() => {
      bench.showInTurn(ids)
      return bench.selectedId
    })
    expect(shown).toEqual([ids[0], ids[1], ids[0]])
  })
})
