import { describe, expect, it } from 'vitest'
import { usualPiece, type Ticket } from '../coupon'
import { aCoupon, aJoint } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import {
  causeOf,
  CAUSES,
  chanceOf,
  posterior,
  priorsFor,
  questionFor,
  diagnoseSigns,
  expectedShares,
  schoolPriors,
  signOf,
  SIGNS,
  type CauseCounts,
  type CauseId,
  type SeenSigns,
  type SignId,
} from '.'

const rules = DEFAULT_HOUSE_RULES
const seeing = (...ids: SignId[]): SeenSigns => ({ signs: ids.map(id => ({ id, markIds: [], share: 1 })), absent: [] })
const on = (ticket: Partial<Ticket> = {}) => aCoupon({ ticket })
const HORIZONTAL = on({ position: '2G' })
const UP = on({ position: '3G', travel: 'up', currentA: 110 })
const OVERHEAD = on({ position: '4G' })
const LAP = { ...on(), piece: usualPiece('lap', false) }
const ranked = (seen: SeenSigns, coupon = on()) => diagnoseSigns(coupon, rules, seen).causes.map(row => row.cause.id)

/** Bead shapes and what they say, row by row. Source: common practice; AWS and training manuals agree, from memory. */
describe('every bead shape puts its cause first', () => {
  const ROWS: [string, readonly SignId[], readonly CauseId[], ReturnType<typeof on>?][] = [
    [
      'wide, flat, pointed ripples, spatter, undercut, rod glows',
      ['wide', 'too low', 'rough ripples', 'spatter', 'undercut both', 'rod glows'],
      ['current high'],
    ],
    ['tall, narrow, rod sticks, slag trapped', ['too high', 'narrow', 'start stuck', 'slag between'], ['current low']],
    [
      'wide and irregular, spatter, undercut, pinholes, noisy',
      ['wide', 'width uneven', 'spatter', 'undercut both', 'porosity everywhere', 'arc fluttered'],
      ['arc long'],
    ],
    [
      'high, uneven, rod stubs, slag and gas trapped',
      ['too high', 'width uneven', 'rod sticks', 'slag between', 'porosity everywhere'],
      ['arc short'],
    ],
    [
      'narrow, thin, ripples pointed, undercut both sides',
      ['narrow', 'too low', 'rough ripples', 'undercut both'],
      ['travel fast'],
    ],
    [
      'wide, high, rolled over at the toes, melted through',
      ['wide', 'too high', 'overlap any', 'burn-through'],
      ['travel slow'],
    ],
    ['undercut on the upper toe, bead sags, horizontal', ['undercut upper', 'sag'], ['work angle'], HORIZONTAL],
    ['rolled over on the lower toe, horizontal', ['overlap lower'], ['travel slow', 'work angle'], HORIZONTAL],
    ['humped vertical-up bead, drips', ['too high', 'sag'], ['travel angle'], UP],
    ['crowned, hanging overhead bead', ['too high', 'sag'], ['travel angle', 'current low'], OVERHEAD],
    ['crooked', ['crooked'], ['bracing']],
    ['width pulses along the bead', ['width uneven'], ['unsteady feed']],
    [
      'rolled over, undercut, pores and a high crown together',
      ['overlap any', 'undercut both', 'porosity everywhere', 'too high', 'slag between'],
      ['travel angle'],
    ],
    ['arc goes out at intervals', ['arc goes out'], ['current low']],
    [
      'whipped ripples too close or too far apart',
      ['ripples off step'],
      ['whip'],
      on({ classification: 'E6010', currentA: 100 }),
    ],
    [
      'puddle on one plate of a T',
      ['puddle one side'],
      ['off the joint'],
      aJoint(undefined, { position: '6G', travel: 'up', currentA: 85 }),
    ],
    [
      'E6013: puddle trails, slow to wet',
      ['puddle sluggish'],
      ['current low'],
      on({ classification: 'E6013', currentA: 115 }),
    ],
    ['E6013: puddle churns', ['puddle churns'], ['current high'], on({ classification: 'E6013', currentA: 115 })],
    ['lump at each restart', ['restart high'], ['too long in crater']],
    ['dip at each restart', ['restart low'], ['too short in crater']],
    ['pinholes at starts only', ['porosity at starts', 'start pinholes'], ['damp rod', 'strike']],
    ['pinholes everywhere', ['porosity everywhere'], ['damp rod', 'arc long']],
    ['slag lines between beads', ['slag between'], ['not cleaned']],
    ['slag runs ahead of the puddle', ['slag ran ahead'], ['upright rod']],
    ['stray strikes', ['stray strike'], ['strike']],
    ['crater pinhole or star crack', ['crater', 'crack in crater'], ['crater left']],
    ['arc wanders, one side eaten, end blown out', ['arc wanders', 'undercut upper', 'ends low'], ['arc blow']],
    ['one wall not fused', ['one wall'], ['off the joint'], aJoint()],
    ['keyhole too big, root sags inside', ['keyhole grew', 'root heavy'], ['gap wide'], aJoint()],
    ['no penetration at the root', ['root not through'], ['gap tight'], aJoint()],
    ['laid too far over, or a groove left between', ['lap off'], ['aim']],
    ['grows from bead to bead', ['growing', 'wide'], ['plate hot']],
    ['root drawn in', ['root concave'], ['root far out', 'arc long', 'gap wide', 'current high'], aJoint()],
    ['root drawn in, the keyhole grew', ['root concave', 'keyhole grew'], ['gap wide'], aJoint()],
    ['root drawn in, a fluttering arc', ['root concave', 'arc fluttered'], ['arc long'], aJoint()],
    [
      'root not through, sparks in front',
      ['root not through', 'sparks in front'],
      ['gap tight', 'root far out'],
      aJoint(),
    ],
    ['root drawn in, sparks in front', ['root concave', 'sparks in front'], ['root far out'], aJoint()],
    ['pinholes at starts, a used rod lit again', ['start pinholes', 'restart pinholes', 'rod lit again'], ['bare tip']],
    ['pinholes at starts, the tip swollen', ['start pinholes', 'tip swollen'], ['damp rod']],
    ['pinholes everywhere, rust under them', ['porosity everywhere', 'plate dirty'], ['dirty plate']],
    ['narrow and low, a rod went far', ['narrow', 'too low', 'rod went far'], ['travel fast']],
    ['wide, a rod ended soon', ['wide', 'rod went short'], ['travel slow']],
    ['wide and undercut, the back burnt', ['wide', 'undercut both', 'back burnt'], ['current high']],
    ['not fused, the back cold', ['no fusion', 'narrow', 'back cold'], ['current low']],
    ['slag between beads, hard to lift', ['slag between', 'slag locked'], ['valley narrow', 'not cleaned']],
    [
      'whipped ripples off step, out to the side',
      ['whip sideways', 'rough ripples'],
      ['whip'],
      on({ classification: 'E6010', currentA: 100 }),
    ],
    ['slag in restarts', ['restart slag'], ['not cleaned']],
    ['the edge melted away', ['edge melted', 'undercut upper'], ['edge melts'], LAP],
    ['crooked, all of it off level', ['crooked', 'runs off level'], ['out of level'], HORIZONTAL],
    ['wide, uneven and sagging, nothing hot about it', ['wide', 'width uneven', 'sag'], ['weave wide', 'arc long'], UP],
  ]
  it.each(ROWS)('%s', (_, signs, causes, coupon) => expect(causes).toContain(ranked(seeing(...signs), coupon)[0]))

  it('uses every cause of the table at least once', () => {
    const named = new Set(ROWS.flatMap(([, , causes]) => causes))
    expect(
      CAUSES.map(cause => cause.id)
        .filter(id => !named.has(id))
        .sort(),
    ).toEqual([
      'arc force',
      'bead thin',
      'blunt tack',
      'clamp',
      'draught',
      'ends',
      'first bead slow',
      'hurried last',
      'no pause',
      'out of line',
      'polarity',
      'rod unfit',
      'work angle high',
    ])
  })
})

describe('a setting that contradicts moves the order', () => {
  const place = (id: CauseId, seen: SeenSigns, currentA: number) => ranked(seen, on({ currentA })).indexOf(id)
  it('wide, spattered, undercut: the current when it is over its window, the arc when it is under', () => {
    const seen = seeing('wide', 'spatter', 'undercut both', 'rough ripples')
    expect(place('current high', seen, 165)).toBe(0)
    expect(place('arc long', seen, 105)).toBeLessThan(place('current high', seen, 105))
  })
  it('tall and narrow: the current when it is under, not when it is over', () => {
    const seen = seeing('too high', 'narrow')
    expect(place('current low', seen, 100)).toBe(0)
    expect(place('current low', seen, 165)).not.toBe(0)
  })
  it('width tells pointed ripples apart: hot when wide, fast when narrow', () => {
    expect(ranked(seeing('rough ripples', 'undercut both', 'wide'))[0]).toBe('current high')
    expect(ranked(seeing('rough ripples', 'undercut both', 'narrow'))[0]).toBe('travel fast')
  })
})

describe('what the odds follow', () => {
  it('leaves the priors alone when nothing was found', () =>
    expect(posterior([0.2, ...schoolPriors({}).slice(1)], { signs: [], absent: [] }).odds[0]).toBeCloseTo(0.2, 12))
  it('explains away: once the current is known to be high, undercut speaks less for the arc', () => {
    const arc = (currentA: number) =>
      diagnoseSigns(on({ currentA }), rules, seeing('undercut both')).causes.find(row => row.cause.id === 'arc long')!
        .odds
    expect(arc(165)).toBeLessThan(arc(130))
  })
  it('a sign’s chance is a noisy OR', () =>
    expect(chanceOf({ leak: 0.1, shows: [0.5, 0.2] }, [1, 0])).toBeCloseTo(1 - 0.9 * 0.5, 12))
})

describe('the question', () => {
  const asked = (seen: SeenSigns, coupon = on()) => questionFor(coupon, rules, diagnoseSigns(coupon, rules, seen))
  it('tells the likeliest two apart, and is not asked when one stands clear', () => {
    const { causes } = diagnoseSigns(on(), rules, seeing('undercut both'))
    const question = asked(seeing('undercut both'))!
    expect(signOf(question.sign).ask).toBe(question.ask)
    const moves = (answer: Partial<SeenSigns>) =>
      diagnoseSigns(on(), rules, {
        signs: [...seeing('undercut both').signs, ...(answer.signs ?? [])],
        absent: answer.absent ?? [],
      })
    const yes = moves(seeing(question.sign))
    expect(yes.causes[0]!.odds).toBeGreaterThan(causes[0]!.odds)
    expect(yes.causes.map(row => row.cause.id)).not.toEqual(
      moves({ absent: [question.sign] }).causes.map(row => row.cause.id),
    )
    expect(asked(seeing('undercut both', 'spatter', 'wide', 'rod glows'), on({ currentA: 170 }))).toBeNull()
    expect(asked(seeing())).toBeNull()
  })
  it('is about something not yet known', () => {
    for (const sign of SIGNS.filter(row => row.ask !== null))
      expect(asked({ ...seeing('undercut both'), absent: [sign.id] })?.sign).not.toBe(sign.id)
  })
})

describe('the words of signs', () => {
  it('are there, and each sign’s own', () => {
    const said = SIGNS.map(sign => sign.says)
    expect(said.filter(words => words.trim().length < 4)).toEqual([])
    expect(new Set(said).size).toBe(SIGNS.length)
  })
  it('of what is asked: a question each, none twice', () => {
    const questions = SIGNS.flatMap(sign => (sign.ask === null ? [] : [sign.ask]))
    expect(questions.length).toBeGreaterThan(15)
    expect(questions.filter(words => !/^[A-Z].{10,}\?$/.test(words))).toEqual([])
    expect(new Set(questions).size).toBe(questions.length)
  })
})

describe('what instructors said', () => {
  const oddsOf = (chance: number) => chance / (1 - chance)
  const place = (id: CauseId) => CAUSES.findIndex(cause => cause.id === id)
  it.each([
    ['as often as expected', 10, 10, 1],
    ['oftener', 30, 11, 38 / 19],
    ['more seldom', 2, 12, 10 / 20],
    ['never, of one that was hardly expected', 0, 0.5, 8 / 8.5],
    ['once, of one that was not expected', 1, 0, 9 / 8],
  ])('%s moves a cause’s odds by said to expected, each held by eight', (_, said, expected, times) => {
    const after = schoolPriors({ 'unsteady feed': { said, expected } })
    expect(oddsOf(after[place('unsteady feed')]!)).toBeCloseTo(times * oddsOf(causeOf('unsteady feed').prior), 9)
    // What was expected of the others is counted for them: here nothing was.
    expect(after[0]).toBe(CAUSES[0]!.prior)
  })
  it('of a student counts beside what the school has moved already, and for more', () => {
    const odds = (school: CauseCounts, student: CauseCounts) =>
      oddsOf(priorsFor(on(), rules, { school, student })[place('travel angle')]!)
    const plain = odds({}, {})
    expect(odds({}, { 'travel angle': { said: 4, expected: 1 } }) / plain).toBeCloseTo(8 / 5, 9)
    // A school in which it is twice as common expects twice as many of the student.
    const school: CauseCounts = { 'travel angle': { said: 24, expected: 8 } }
    expect(odds(school, { 'travel angle': { said: 4, expected: 2 } }) / plain).toBeCloseTo(2, 9)
  })
  it('is shared out among all causes by their odds', () => {
    const shares = expectedShares([0.6, 0.3, 0.1, 0.2])
    expect(shares[0]).toBeCloseTo(0.5, 12)
    expect(shares.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 12)
  })
})
