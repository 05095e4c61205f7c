import { describe, expect, it } from 'vitest'
import { isTry, newFlaw, newReading, setDegree, type CouponDocument, type FlawMark, type Mark } from '../coupon'
import { aCoupon, aJoint } from '../coupon/example'
import { SHIPPED_SETS } from '../criteria'
import { BURIED } from '../progress'
import { inches } from '../units'
import { rejectedCounts, rejectedMarks } from '.'

const SETS = ['d1.1 welder', 'ix visual', 'iso 9606'].map(id => SHIPPED_SETS.find(set => set.id === id)!)
const pad = aCoupon()
const at = { beadId: pad.beads[1]!.id, atMm: 60 }
const withMarks = (document: CouponDocument, ...marks: Mark[]): CouponDocument => ({
  ...document,
  marks: [...document.marks.filter(isTry).map(mark => ({ ...mark, degree: 'sound' as const, fault: null })), ...marks],
})
const flaw = (kind: Parameters<typeof newFlaw>[2], more: Partial<FlawMark> = {}, document = pad, place = at) => ({
  ...newFlaw(document, 'x', kind, place),
  ...more,
})
const by = (document: CouponDocument) =>
  rejectedMarks(document, SETS, 'in').map(({ element, by: sets }) => [element, sets])

describe('what a test would have said of a practice coupon', () => {
  it('nothing, where all is sound', () => expect(by(withMarks(pad))).toEqual([]))
  it.each([
    ['an undercut of 1/64 in is no failure', flaw('undercut', { sizeMm: inches(1 / 64) }), []],
    [
      'one of 1/16 in is, where the code counts undercut',
      flaw('undercut', { sizeMm: inches(1 / 16) }),
      [['toes', ['d1.1 welder', 'iso 9606']]],
    ],
    ['overlap', flaw('overlap'), [['toes', ['d1.1 welder', 'iso 9606']]]],
    [
      'a crack, by every book and in a bend',
      flaw('crack'),
      [['run', ['d1.1 welder', 'ix visual', 'iso 9606', BURIED]]],
    ],
    ['slag is no visual’s, and a bend’s', flaw('slag'), [['run', [BURIED]]]],
    ['a crooked bead is nobody’s', flaw('crooked'), []],
  ] as const)('%s', (_, mark, said) => expect(by(withMarks(pad, mark))).toEqual(said))
  it('a crater at an end, a poor restart by ISO alone; workable ones too where a fault is one', () => {
    const [end, restart] = (['end', 'restart'] as const).map(kind =>
      pad.marks.filter(isTry).find(one => one.kind === kind)!,
    )
    const poor = (mark: typeof end, fault: string) => ({ ...(setDegree(mark!, 3) as typeof end), fault })
    const others = withMarks(pad).marks.filter(mark => mark.id !== end!.id && mark.id !== restart!.id)
    const document = { ...pad, marks: [...others, poor(end!, 'crater')!, poor(restart!, 'high')!] as Mark[] }
    expect(by(document)).toEqual([
      ['ends', ['d1.1 welder', 'iso 9606']],
      ['restart', ['iso 9606']],
    ])
  })
  it('a flaw on the root side is the root’s, a gauge reading the size’s', () => {
    const joint = withMarks(aJoint())
    const root = joint.beads.find(bead => bead.face === 'root')!
    const cap = joint.beads.filter(bead => bead.face !== 'root').at(-1)!
    const through = flaw('incomplete penetration', {}, joint, { beadId: root.id, atMm: 60 })
    expect(by(withMarks(joint, through)).map(([element]) => element)).toEqual(['root'])
    const high = newReading('h', 'height', { beadId: cap.id, atMm: 60 }, inches(3 / 16))
    expect(by(withMarks(joint, high))[0]![0]).toBe('size')
  })
  it('what lies on an inner pass is judged as if it lay on the cap', () => {
    const joint = aJoint()
    const inner = joint.beads.find(bead => bead.face !== 'root')!
    const deep = flaw('overlap', {}, joint, { beadId: inner.id, atMm: 60 })
    expect(by(withMarks(joint, deep))).toEqual([['toes', ['d1.1 welder', 'iso 9606']]])
  })
  it('is counted by element and by what it was run with', () => {
    const marks = rejectedMarks(
      withMarks(pad, flaw('overlap'), { ...flaw('overlap'), id: 'y', atMm: 90, toMm: 110 }),
      SETS,
      'in',
    )
    expect(rejectedCounts(marks, 'toes', marks[0]!.rodFamily)).toEqual({ 'd1.1 welder': 2, 'iso 9606': 2 })
    expect(rejectedCounts(marks, 'run', marks[0]!.rodFamily)).toEqual({})
    expect(rejectedCounts(marks, 'toes', 'cellulosic')).toEqual({})
  })
})
