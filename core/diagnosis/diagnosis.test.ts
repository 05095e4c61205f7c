import { describe, expect, it } from 'vitest'
import { putMark, setDegree, type CouponDocument, type FlawMark, type Mark, type Ticket, type TryMark } from '../coupon'
import { aCoupon, aFlaw, aJoint } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import { inches } from '../units'
import { diagnose, signsOf } from '.'

const rules = DEFAULT_HOUSE_RULES
const marked = (marks: readonly Mark[], ticket: Partial<Ticket> = {}) => marks.reduce(putMark, aCoupon({ ticket }))
const whole = (flaw: FlawMark['flaw'], beads: readonly number[], change: Partial<FlawMark> = {}) =>
  beads.map(n =>
    aFlaw({ id: `${flaw}${n}`, beadId: `b${n}`, flaw, side: null, sizeMm: null, atMm: 0, toMm: inches(6), ...change }),
  )
const tries = (document: CouponDocument, kind: TryMark['kind'], fault: string) =>
  document.marks.filter(mark => mark.kind === kind).map(mark => ({ ...setDegree(mark, 3), fault }) as TryMark)
const first = (document: CouponDocument) => diagnose(document, rules).causes[0]?.cause.id
const seen = (document: CouponDocument) => signsOf(document, rules).signs.map(sign => sign.id)

describe('signs', () => {
  it('sees nothing on a sound coupon', () => expect(seen(aCoupon())).toEqual([]))
  it('reads undercut by the toe it sits on', () => {
    expect(seen(marked([aFlaw({ side: 'upper' })]))).toEqual(['undercut upper'])
    expect(seen(marked([aFlaw({ side: 'both' })]))).toEqual(['undercut both'])
  })
  it('takes a tie-in that dips, stands high or is off its line for a restart that does, and points at it', () => {
    const joint = aJoint()
    const tieIn = joint.marks.find((mark): mark is TryMark => mark.kind === 'tie-in')!
    const signs = (fault: string) => {
      const mark = { ...setDegree(tieIn, 3), fault } as TryMark
      return signsOf(putMark(joint, mark), rules).signs.map(({ id, markIds }) => [id, markIds])
    }
    expect(signs('low')).toEqual([['restart low', [tieIn.id]]])
    expect(signs('high')).toEqual([['restart high', [tieIn.id]]])
    expect(signs('off line')).toEqual([['restart off line', [tieIn.id]]])
  })
  it('knows pinholes at starts only from pinholes everywhere', () => {
    const pore = (id: string, atMm: number) => aFlaw({ id, flaw: 'porosity', side: null, atMm, toMm: atMm })
    expect(seen(marked([pore('p1', 4)]))).toEqual(['porosity at starts'])
    expect(seen(marked([pore('p1', 4), pore('p2', 70)]))).toEqual(['porosity everywhere'])
  })
  it('sees what grows from bead to bead, and not what was there from the first', () => {
    const undercut = (beads: readonly number[]) => beads.map(n => aFlaw({ id: `u${n}`, beadId: `b${n}` }))
    expect(seen(marked(undercut([4, 5, 6])))).toContain('growing')
    expect(seen(marked(undercut([1, 4, 5, 6])))).not.toContain('growing')
    expect(seen(marked(undercut([4, 5])))).not.toContain('growing')
  })
  it('sees that heat grows by all that heat shows: four times as much on the second half as on the first', () => {
    const on = (n: number, flaw: FlawMark['flaw']) =>
      aFlaw({ id: `${flaw}${n}`, beadId: `b${n}`, flaw, side: null, severity: 2 })
    const late = [on(4, 'spatter'), on(5, 'irregular surface'), on(6, 'sagging')]
    expect(seen(marked(late))).toContain('growing')
    expect(seen(marked([...late, on(6, 'spatter'), on(2, 'spatter')]))).toContain('growing')
    expect(seen(marked([...late, on(2, 'spatter')]))).not.toContain('growing')
    // Slag is left, not grown.
    expect(seen(marked([on(4, 'slag'), on(5, 'slag'), on(6, 'slag')]))).not.toContain('growing')
  })
  it('weighs what is everywhere more than a single slip', () => {
    const strength = (beads: readonly number[]) => signsOf(marked(whole('crooked', beads)), rules).signs[0]!.share
    expect(strength([1, 2, 3, 4, 5, 6])).toBeGreaterThan(strength([1]))
  })
})

// Bead shapes and what they say: common practice, as manuals agree.
describe('causes', () => {
  it('says same again for a sound coupon', () =>
    expect(diagnose(aCoupon(), rules)).toMatchObject({ causes: [], nextRun: 'Same again: hold these settings' }))

  it('lumps at each restart: too long in the crater; dips: left too soon', () => {
    const stubs = aCoupon({ ticket: { rods: 'stubs' } })
    expect(first(tries(stubs, 'restart', 'high').reduce(putMark, stubs as CouponDocument))).toBe('too long in crater')
    expect(first(tries(stubs, 'restart', 'low').reduce(putMark, stubs as CouponDocument))).toBe('too short in crater')
  })

  it('undercut with the current over its window: current; the same with a fitting current: arc or hand', () => {
    const undercut = [aFlaw({ side: 'both' }), ...whole('spatter', [1, 2], { severity: 2 })]
    expect(first(marked(undercut, { currentA: 160 }))).toBe('current high')
    expect(first(marked(undercut))).toBe('arc long')
  })

  it('gives the current to go to, inside the window', () => {
    const hot = marked([aFlaw({ side: 'both' })], { currentA: 160 })
    expect(diagnose(hot, rules).nextRun).toMatch(/^Down 10 A to 150 A/)
    const cold = marked([...whole('excess weld metal', [1, 2, 3]), ...whole('incomplete fusion', [1, 2])], {
      currentA: 95,
    })
    expect(diagnose(cold, rules).nextRun).toMatch(/^Up 1[05] A to 1(05|10) A/)
  })

  it('wrong polarity is the fault to rule out first', () =>
    expect(
      first(marked(whole('excess weld metal', [1]), { classification: 'E6010', polarity: 'DCEN', currentA: 100 })),
    ).toBe('polarity'))

  it('upper-toe undercut with a sag: work angle', () =>
    expect(
      first(
        marked([aFlaw({ side: 'upper' }), aFlaw({ id: 's', flaw: 'sagging', side: 'lower', sizeMm: 1 })], {
          position: '2G',
        }),
      ),
    ).toBe('work angle'))

  it.each([
    ['crater', 'crater left'],
    ['short of the edge', 'ends'],
  ])('ends with %s: %s', (fault, cause) =>
    expect(first(tries(aCoupon(), 'end', fault).reduce(putMark, aCoupon()))).toBe(cause),
  )

  it('crooked beads: bracing; laps off alone: aim', () => {
    expect(first(marked(whole('crooked', [1, 2, 3])))).toBe('bracing')
    expect(first(marked(whole('lap', [2, 3, 4])))).toBe('aim')
  })

  it('odds are chances, fall in order, and each cause points at marks of the coupon', () => {
    const coupon = marked([...whole('crooked', [1, 2]), aFlaw(), ...whole('spatter', [3])], { currentA: 160 })
    const { causes } = diagnose(coupon, rules)
    for (let n = 1; n < causes.length; n++) expect(causes[n]!.odds).toBeLessThanOrEqual(causes[n - 1]!.odds)
    for (const { odds, gain } of causes) expect(odds >= 0 && odds <= 1 && gain >= 0).toBe(true)
    const ids = new Set(coupon.marks.map(mark => mark.id))
    for (const { speaksFor } of causes)
      for (const { markIds } of speaksFor) for (const id of markIds) expect(ids.has(id)).toBe(true)
  })

  it('says something to try even of one light slip, and that nothing stands clear', () => {
    const { change, nextRun, clear } = diagnose(marked([aFlaw({ severity: 1, side: 'both' })]), rules)
    expect([change?.cause.id, clear]).toEqual(['travel fast', false])
    expect(nextRun).toMatch(/^On the first bead: slow down/)
  })
  it('of nothing that shows says what was set outside its window, or left unclean, and else to hold it', () => {
    const told = (more: Partial<CouponDocument>, currentA = 125) =>
      diagnose({ ...marked([], { currentA }), ...more }, rules).nextRun
    expect(told({})).toBe('Same again: hold these settings')
    expect(told({}, 200)).toMatch(/^Down \d+ A to \d+ A/)
    expect(told({}, 80)).toMatch(/^Up \d+ A to \d+ A/)
    expect(told({ cleanUp: 'poor' })).toMatch(/^Chip and brush it clean/)
    expect(told({ overrule: { verdict: 'run it again', reason: 'Restarts uneven by eye' } })).toBe(
      'Run it again: restarts uneven by eye',
    )
  })
  it('says when nothing stands clear', () =>
    expect(diagnose(marked([aFlaw({ side: 'both' })]), rules).clear).toBe(false))
})
