import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { inches } from '../units'
import { aTest } from './example'
import { PIPELINE, PRESSURE, STRUCTURAL } from '../qualification'
import {
  asRetest,
  countsAsPassed,
  documentFaults,
  hasResult,
  holdPointsOf,
  minutesRun,
  nextStep,
  retestOptions,
  sayStep,
  specimensOf,
  specimenVerdict,
  stopTest,
  takeStep,
  testCoupon,
  testStanding,
  wantsOf,
  withOpenings,
  withPasses,
  type Opening,
  type SpecimenResult,
  type WelderTest,
} from '.'

const AT = '2026-11-02T18:00:00.000Z'
const later = (minutes: number) => new Date(Date.parse(AT) + minutes * 60_000).toISOString()
const seen = { by: 'MH', at: AT }
const planned = aTest()
/** Takes every step up to one, a minute apart. */
function upTo(document: WelderTest, wanted: string, read = true): WelderTest {
  let [now, at] = [document, 0]
  for (let step = nextStep(now, STRUCTURAL, read); step.is !== wanted; step = nextStep(now, STRUCTURAL, read)) {
    const next =
      step.is === 'stamp'
        ? { ...now, stamp: 'T 1' }
        : step.is === 'visual'
          ? { ...now, visual: passed }
          : takeStep(now, step, { by: 'MH', at: later(at++) })
    if (next === now) throw new Error(`stuck at ${step.is}`)
    now = next
  }
  return now
}
const passed = { ...seen, computed: 'passes' as const, outcome: 'passes' as const, failed: [], why: '' }
const welded = upTo(planned, 'visual')
const sound: WelderTest = { ...welded, visual: passed }
const [face, root] = specimensOf(planned, STRUCTURAL)
const open = (length: number, more: Partial<Opening> = {}): Opening => ({
  length,
  atMm: 5,
  corner: false,
  kind: 'opening',
  depth: null,
  ...more,
})
const bent = (...openings: Opening[]): SpecimenResult => ({ ...seen, openings, byHand: null, note: '' })

describe('a test goes on step by step', () => {
  it('from the stamp to the record, each step once', () => {
    const said: string[] = []
    let now = planned
    for (let n = 0; n < 40; n++) {
      const step = nextStep(now, STRUCTURAL, n > 0)
      said.push(sayStep(step, now))
      if (step.is === 'record') break
      now =
        step.is === 'stamp'
          ? { ...now, stamp: 'T 1' }
          : step.is === 'visual'
            ? { ...now, visual: passed }
            : takeStep(now, step, { by: 'MH', at: later(n) })
      expect(documentFaults(now, STRUCTURAL), said.at(-1)).toEqual([])
    }
    const passes = planned.passes.flatMap((pass, n) => [
      `Begin pass ${n + 1}, ${pass.role}`,
      `End pass ${n + 1}, ${pass.role}`,
    ])
    expect(said).toEqual([
      'Stamp the piece',
      'Seen: whole rods, in date',
      'Seen: piece stamped',
      'Seen: fit-up within limits',
      'Seen: position fixed',
      'Witness the fit-up',
      'Start the clock',
      ...passes.slice(0, 2),
      'Witness the root',
      ...passes.slice(2),
      'Witness the cap',
      'Stop the clock',
      'Sign the visual',
      'Sound: face bend',
      'Sound: root bend',
      'Print the record',
    ])
    expect(testStanding(now, STRUCTURAL)).toMatchObject({ state: 'passed', reasons: ['Visual and 2 specimens'] })
  })
  it('a root of two passes is witnessed when both are run', () => {
    const passes = planned.passes.map((pass, n) => (n === 1 ? { ...pass, role: 'root' as const } : pass))
    let now: WelderTest = { ...planned, passes }
    const said: string[] = []
    for (let n = 0; n < 40 && said.at(-1) !== 'Witness the root'; n++) {
      const step = nextStep(now, STRUCTURAL, true)
      said.push(sayStep(step, now))
      now = step.is === 'stamp' ? { ...now, stamp: 'T 1' } : takeStep(now, step, { by: 'MH', at: later(n) })
    }
    expect(said.slice(-5)).toEqual([
      'Begin pass 1, root',
      'End pass 1, root',
      'Begin pass 2, root',
      'End pass 2, root',
      'Witness the root',
    ])
  })
  it('what stands to be done is the step of the button, from the stamp to the record', () => {
    const leads = ['stamp', 'check', 'hold', 'start', 'begin', 'finish', 'read', 'visual', 'specimen'].map(is => {
      const at = is === 'stamp' ? planned : upTo(planned, is, is !== 'read')
      return testStanding(at, STRUCTURAL, is !== 'read').next
    })
    expect(leads).toEqual([
      'Stamp the piece, then go through the checklist',
      'Go through the checklist',
      'Witness the fit-up, then start the clock',
      'Start the clock',
      'Weld up to the root, and have it witnessed',
      'Stop the clock',
      'Read it on the Bench, then hold it against the visual criteria',
      'Look over the lines of the visual, then sign',
      '2 of 2 to look at',
    ])
  })
  it('a step says what it takes beside a look', () => {
    const [bend] = specimensOf(planned, STRUCTURAL)
    const [broken] = specimensOf(aTest(undefined, 'fillet-3f'), STRUCTURAL)
    expect(wantsOf({ is: 'specimen', specimen: bend! })).toBe('a look')
    expect(wantsOf({ is: 'specimen', specimen: broken! })).toBe('a result')
    expect([wantsOf({ is: 'stamp' }), wantsOf({ is: 'read' }), wantsOf({ is: 'start' })]).toEqual([
      'a stamp',
      'the Bench',
      'a look',
    ])
  })
  it('is read on the Bench before its visual is signed', () =>
    expect([nextStep(welded, STRUCTURAL, false).is, nextStep(welded, STRUCTURAL, true).is]).toEqual(['read', 'visual']))
  it.each([
    ['planned', planned, 'planned'],
    ['started', upTo(planned, 'begin'), 'under way'],
    ['welded out', welded, 'for visual'],
    ['seen', sound, 'for specimens'],
    ['one bend done', { ...sound, results: { [face!.id]: bent() } }, 'for specimens'],
    ['both bends done', { ...sound, results: { [face!.id]: bent(open(0.125)), [root!.id]: bent() } }, 'passed'],
    ['a bend open too far', { ...sound, results: { [face!.id]: bent(open(0.2)), [root!.id]: bent() } }, 'failed'],
    [
      'a visual that fails',
      {
        ...welded,
        visual: { ...passed, computed: 'fails' as const, outcome: 'fails' as const, failed: ['undercut 1/16 in'] },
      },
      'failed',
    ],
    [
      'a corner crack that comes from nothing',
      { ...sound, results: { [face!.id]: bent(open(0.3, { corner: true })), [root!.id]: bent() } },
      'for specimens',
    ],
  ] as const)('%s', (_, document, state) => {
    expect(documentFaults(document, STRUCTURAL)).toEqual([])
    expect(testStanding(document, STRUCTURAL).state).toBe(state)
    expect(hasResult(state)).toBe(state === 'passed' || state === 'failed')
  })
  it('a failure says why, by which clause, and what a retest takes, from when', () => {
    const { reasons, next } = testStanding(
      { ...sound, results: { [face!.id]: bent(open(0.2)), [root!.id]: bent() } },
      STRUCTURAL,
    )
    expect(reasons[0]).toBe('face: An opening over 1/8 in (AWS D1.1 4.9.3.3 (2015), 6.10.3.3 (2020))')
    expect(next).toMatch(/^At once: two welds of each type.*After more training/)
    expect(retestOptions(STRUCTURAL, '2026-11-02')).toMatchObject([
      { pieces: 2, from: '2026-11-02' },
      { pieces: 1, from: null },
    ])
  })
  it('a specimen with an innocent corner crack is cut anew', () =>
    expect(
      nextStep(
        { ...sound, results: { [face!.id]: bent(open(0.3, { corner: true })), [root!.id]: bent() } },
        STRUCTURAL,
        true,
      ),
    ).toMatchObject({ is: 'specimen', specimen: { id: face!.id } }))
  it('what is judged by hand says so, with its clause', () => {
    const fillet = aTest(undefined, 'fillet-3f')
    const [broken] = specimensOf(fillet, STRUCTURAL)
    const result = { ...seen, openings: [], byHand: 'fails' as const, note: 'root not fused over 1 in' }
    expect(specimenVerdict({ ...fillet, results: { [broken!.id]: result } }, broken!, STRUCTURAL)).toEqual({
      outcome: 'fails',
      reasons: ['root not fused over 1 in'],
      clause: 'AWS D1.1 4.22 (2015), 6.23 (2020)',
    })
  })
})

describe('the clock', () => {
  it('counts minutes, what it stood still left out', () => {
    const started = { ...upTo(planned, 'begin'), startedAt: AT }
    const stopped = stopTest(
      takeStep(started, { is: 'begin', passId: 'p1' }, { by: 'MH', at: later(1) }),
      'arc blow',
      later(10),
    )
    expect([minutesRun(planned, later(5)), minutesRun(started, later(5)), minutesRun(stopped, later(30))]).toEqual([
      0, 5, 10,
    ])
    expect(stopped.runs.p1!.to).toBe(later(10))
    expect(nextStep(stopped, STRUCTURAL, false).is).toBe('go on')
    const again = takeStep(stopped, { is: 'go on' }, { by: 'MH', at: later(40) })
    expect(minutesRun({ ...again, endedAt: later(50) }, later(500))).toBe(20)
  })
})

describe('the coupon of a test', () => {
  const wall = (moment: string) => moment.slice(11, 16)
  it('is a mock test with its passes logged as they were run', () => {
    const coupon = testCoupon(welded, rules, wall)
    expect(coupon).toMatchObject({ mock: true, classDay: '2026-11-02' })
    expect(coupon.passes![0]!.log).toEqual({ started: wall(welded.runs.p1!.from), ended: wall(welded.runs.p1!.to!) })
  })
  it('learns what the bends laid open', () => {
    const coupon = testCoupon(welded, rules, wall)
    const found = withOpenings(
      coupon,
      { ...sound, results: { [root!.id]: bent(open(0.2, { kind: 'lack of fusion' })) } },
      STRUCTURAL,
    ).marks.filter(mark => mark.kind === 'flaw')
    expect(found).toMatchObject([{ flaw: 'incomplete fusion', found: 'bend' }])
    expect((found[0] as { toMm: number }).toMm - found[0]!.atMm).toBeCloseTo(inches(0.2), 6)
  })
  it('with a pass more, its fillers share the wall anew', () => {
    const open = aTest(undefined, 'open-root-3g')
    const [before] = open.test.fillers
    const last = open.passes.at(-1)!
    const more = withPasses(open, [...open.passes, { ...last, id: 'p99', layer: last.layer + 1 }])
    expect(more.test.fillers[0]!.depositMm).toBeLessThan(before!.depositMm)
    expect(documentFaults(more, STRUCTURAL)).toEqual([])
  })
  it('a fillet of one role has no root to witness; a retest begins anew', () => {
    expect(holdPointsOf(planned)).toEqual(['fit-up', 'root', 'cap'])
    expect(holdPointsOf({ passes: planned.passes.map(pass => ({ ...pass, role: 'single' as const })) })).toEqual([
      'fit-up',
      'cap',
    ])
    expect(asRetest(sound, { of: 'failed-id', pieces: 2 }, { testDay: '2026-11-09', couponId: 'c2' })).toMatchObject({
      retest: { of: 'failed-id', pieces: 2 },
      visual: null,
      startedAt: null,
      stamp: '',
      couponId: 'c2',
      testDay: '2026-11-09',
      pieceName: planned.pieceName,
    })
  })
})

it('of a retest in two pieces both have to pass (AWS D1.1 4.24, ASME IX QW-321.2)', () => {
  const piece = (state: 'passed' | 'failed' | 'planned', pieces = 2, of = 'x') => ({ state, retest: { of, pieces } })
  const first = piece('passed')
  expect(
    [
      [first],
      [first, piece('planned')],
      [first, piece('failed')],
      [first, piece('passed', 2, 'another')],
      [first, piece('passed')],
    ].map(all => countsAsPassed(first, all)),
  ).toEqual([false, false, false, false, true])
  expect([
    countsAsPassed(piece('passed', 1), []),
    countsAsPassed({ state: 'passed', retest: null }, []),
    countsAsPassed({ state: 'failed', retest: null }, []),
  ]).toEqual([true, true, false])
})

describe('what is out of order is refused', () => {
  const started = upTo(planned, 'begin')
  it.each([
    ['started without the checklist', { ...started, checks: planned.checks }, 'checks', /checklist/],
    ['started with no witness', { ...started, holds: planned.holds }, 'holds.fit-up', /witnessed before/],
    ['started unstamped', { ...started, stamp: ' ' }, 'stamp', /stamp/],
    [
      'stopped before it started',
      { ...welded, endedAt: '2026-11-02T17:00:00.000Z' },
      'endedAt',
      /after it was started/,
    ],
    ['stopped with the cap unseen', { ...welded, holds: { ...welded.holds, cap: null } }, 'holds.cap', /The cap is/],
    [
      'stopped with the root unseen',
      { ...welded, holds: { ...welded.holds, root: null } },
      'holds.root',
      /The root is/,
    ],
    ['a pass before the clock', { ...planned, runs: { p1: { from: AT, to: null } } }, 'runs', /while the clock runs/],
    [
      'a pass of another piece',
      { ...started, runs: { p99: { from: AT, to: null } } },
      'runs.p99',
      /none of this piece/,
    ],
    ['a pass that ends first', { ...started, runs: { p1: { from: later(9), to: AT } } }, 'runs.p1', /ends after/],
    ['a visual on an unwitnessed test', { ...started, visual: passed }, 'visual', /witnessed and welded out/],
    [
      'a failed visual that names nothing',
      { ...welded, visual: { ...passed, computed: 'fails' as const, outcome: 'fails' as const } },
      'visual.failed',
      /which line/,
    ],
    [
      'signed against the criteria',
      { ...welded, visual: { ...passed, computed: 'fails' as const } },
      'visual.why',
      /Say why/,
    ],
    [
      'a bend before the visual',
      { ...welded, results: { [face!.id]: bent() } },
      `results.${face!.id}`,
      /after a visual/,
    ],
    [
      'a specimen of another piece',
      { ...sound, results: { 'side-9': bent() } },
      'results.side-9',
      /none of this piece/,
    ],
    [
      'an opening beside its specimen',
      { ...sound, results: { [face!.id]: bent(open(0.1, { atMm: 99 })) } },
      `results.${face!.id}`,
      /lies on its specimen/,
    ],
    [
      'a bend judged by hand',
      { ...sound, results: { [face!.id]: { ...bent(), byHand: 'passes' as const } } },
      `results.${face!.id}`,
      /by its openings/,
    ],
    [
      'a film with nothing said',
      {
        ...sound,
        examinedBy: 'radiograph' as const,
        results: { 'radiograph-1': { ...bent(), byHand: 'passes' as const } },
      },
      'results.radiograph-1',
      /what the film shows/,
    ],
    [
      'a piece too short',
      { ...planned, piece: { ...planned.piece, lengthMm: inches(4) } as WelderTest['piece'] },
      'piece',
      /longer piece/,
    ],
    [
      'an impossible wall',
      { ...planned, test: { ...planned.test, thicknessMm: 0 } },
      'test.thicknessMm',
      /over nothing/,
    ],
    [
      'a plate too thin for the book',
      {
        ...planned,
        test: {
          ...planned.test,
          thicknessMm: inches(1 / 4),
          fillers: [{ ...planned.test.fillers[0]!, depositMm: inches(1 / 4) }],
        },
      },
      'test.thicknessMm',
      /no standard test/,
    ],
    [
      'a slip of another position',
      { ...planned, ticket: { ...planned.ticket, position: '4G' as const } },
      'ticket.position',
      /the test 3G/,
    ],
  ] as const)('%s', (_, document, path, message) =>
    expect(documentFaults(document as WelderTest, STRUCTURAL).find(fault => fault.path === path)?.message).toMatch(
      message,
    ),
  )
  it('a book that tests no such piece', () => {
    expect(documentFaults(planned, PIPELINE)).toEqual([
      { path: 'test.position', message: 'API 1104 has no 3G test on plate' },
    ])
    expect(documentFaults(planned, PRESSURE)).toEqual([])
  })
})
