import { describe, expect, it } from 'vitest'
import { bookLine, handfulsOf, movementFault, stockOf, stubLoss, type RodMovement } from '../core/rodRoom'
import { seededRandom } from '../core/statistics'
import { demoBook, DEMO_LOTS } from './rods'

const NOW = new Date('2026-11-27T19:00:00Z')
const lots = DEMO_LOTS.map((lot, n) => ({ ...lot, id: `lot${n}` }))

/** Ten students, two evenings a week, three coupons each. */
const STUDENTS = Array.from({ length: 10 }, () =>
  Array.from({ length: 18 }, (_, n) => ({
    at: new Date(NOW.getTime() - (2 + 3.5 * n) * 86_400_000),
    lot: n % 5 < 3 ? 0 : (n % 5) - 2,
    coupons: 3,
  })),
)

/** The demo's book as the server would write it. */
function written(): RodMovement[] {
  const book: RodMovement[] = []
  const lines = demoBook(STUDENTS, NOW, seededRandom(7))
  for (const [n, { lot, said, student, of, at }] of lines.entries()) {
    const own = book.filter(line => line.lotId === lots[lot]!.id)
    const studentId = student === null ? null : `s${student}`
    const handfulId = of === null ? null : `l${String(of).padStart(4, '0')}`
    const id = `l${String(n).padStart(4, '0')}`
    const line = bookLine(id, { ...said, lotId: lots[lot]!.id, studentId, handfulId }, own, {
      by: 'x',
      now: at,
      stock: stockOf(own).get(lots[lot]!.id) ?? 0,
    })
    expect(movementFault(line, lots[lot]!, own, { houseHours: 4, now: at })).toBeNull()
    book.push(line)
  }
  return book
}

describe('the made-up rod room', () => {
  const book = written()

  it('runs out of nothing, and wastes as much as schools do', () => {
    for (const [, rods] of stockOf(book)) expect(rods).toBeGreaterThan(0)
    expect(stubLoss(book, lots)!.share).toBeGreaterThan(0.12)
    expect(stubLoss(book, lots)!.share).toBeLessThan(0.35)
  })

  it('has three handfuls out when it opens, and nothing else', () => {
    const out = handfulsOf(book).filter(handful => handful.out > 0)
    expect(out.map(handful => handful.studentId).sort()).toEqual(['s0', 's4', 's7'])
  })
})
