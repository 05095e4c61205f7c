import { describe, expect, it } from 'vitest'
import { CAUSES } from '../diagnosis'
import {
  BEAD_CARDS,
  shownBeadOf,
  cardStates,
  changeOfCard,
  choicesFor,
  knew,
  likeness,
  nameOfCard,
  NEW_A_DAY,
  nextCard,
  answersSummary,
  tellsOf,
  type BeadAnswer,
  type BeadCardId,
} from '.'

const RIGHT = { widthMm: 5.6, heightMm: 2.4 }
const DAY = new Date('2026-10-05T00:00:00Z')
const at = (minutes: number) => new Date(DAY.getTime() + (8 * 60 + minutes) * 60_000)
const answer = (card: BeadCardId, minutes: number, cause = card, change = cause): BeadAnswer => ({
  card,
  cause,
  change,
  at: at(minutes).toISOString(),
})

describe('cards', () => {
  it('are causes of the model, each once, with a change of its own', () => {
    const causes = CAUSES.map(cause => cause.id)
    expect(BEAD_CARDS.filter(id => id !== 'right' && !causes.includes(id))).toEqual([])
    expect(new Set(BEAD_CARDS).size).toBe(BEAD_CARDS.length)
    expect(new Set(BEAD_CARDS.map(nameOfCard)).size).toBe(BEAD_CARDS.length)
    expect(new Set(BEAD_CARDS.map(changeOfCard)).size).toBe(BEAD_CARDS.length)
  })

  it('show another bead each time, and a subtler one once it is known', () => {
    const first = shownBeadOf({ card: 'arc long', shown: 0, known: 0 }, RIGHT)
    expect(shownBeadOf({ card: 'arc long', shown: 1, known: 0 }, RIGHT)).not.toEqual(first)
    const known = shownBeadOf({ card: 'arc long', shown: 0, known: 4 }, RIGHT)
    expect(known.spatter.length).toBeLessThan(first.spatter.length)
  })
})

/**
 * Words that must be among what told, and words that must not. Source: bead shapes and what they say, common
 * practice.
 */
const TOLD: readonly (readonly [BeadCardId, readonly RegExp[], readonly RegExp[]])[] = [
  ['current high', [/^Wide/, /^Flat/, /pointed/, /both toes/], [/^Narrow/, /^High/, /lump|dip/]],
  ['current low', [/^Narrow/, /^High/], [/^Wide/, /pointed/, /Undercut/]],
  ['travel fast', [/^Narrow/, /pointed/, /both toes/], [/^Wide/, /^High/, /spatter/]],
  ['travel slow', [/^Wide/, /^High/, /Rolled over/], [/^Narrow/, /pointed/, /Undercut/]],
  ['arc long', [/^Wide/, /spatter/, /both toes/], [/^Narrow/, /pointed/]],
  ['unsteady feed', [/^Width swings/], [/^Wide|^Narrow/, /Undercut/]],
  ['bracing', [/^Wanders/], [/^Wide|^Narrow/, /swings/]],
  ['too long in crater', [/A lump at the restart/], [/dip/, /^Wide/]],
  ['too short in crater', [/A dip at the restart/], [/lump/]],
  ['crater left', [/hollow crater/], [/lump|dip/]],
  ['damp rod', [/^Pinholes along/], [/start only/, /spatter/]],
  ['strike', [/^Strikes/], [/^Wide|^Narrow/]],
  ['not cleaned', [/^Slag/], [/^Wide|^Narrow/]],
  ['work angle', [/upper toe only/, /lower side/], [/both toes/]],
  ['travel angle', [/^High/, /Rolled over/, /both toes/], [/^Narrow/]],
  ['plate hot', [/toward the end/], [/^Narrow/]],
  ['right', [], [/./]],
]

describe('what told', () => {
  it.each(TOLD)('%s', (card, told, not) => {
    for (let shown = 0; shown < 12; shown++) {
      const words = tellsOf(card, shownBeadOf({ card, shown, known: 0 }, RIGHT), RIGHT, 'in')
      for (const pattern of told)
        expect(
          words.some(line => pattern.test(line)),
          `${pattern} in ${words.join('; ')}`,
        ).toBe(true)
      for (const pattern of not)
        expect(
          words.filter(line => pattern.test(line)),
          `${shown}`,
        ).toEqual([])
    }
  })
})

it.each(BEAD_CARDS.filter(card => card !== 'right'))(
  '%s always shows something that tells, however well known',
  card => {
    for (let shown = 0; shown < 12; shown++)
      for (const known of [0, 2, 5, 9])
        for (const unit of ['in', 'mm'] as const)
          expect(tellsOf(card, shownBeadOf({ card, shown, known }, RIGHT), RIGHT, unit)).not.toEqual([])
  },
)

it('never tells two sizes apart that read alike on the gauge', () => {
  for (const card of BEAD_CARDS)
    for (let shown = 0; shown < 20; shown++)
      for (const line of tellsOf(card, shownBeadOf({ card, shown, known: 4 }, RIGHT), RIGHT, 'in')) {
        const [, here, right] = /: (.+?)(?: high)?, where (.+) is right$/.exec(line) ?? []
        if (here !== undefined) expect(here, line).not.toBe(right)
      }
})

describe('choices', () => {
  it('hold the truth and its likest rivals, the same after a reload, changes shuffled apart', () => {
    for (const card of BEAD_CARDS) {
      const showing = { card, shown: 3, known: 1 }
      const causes = choicesFor(showing, 'cause')
      expect(causes).toContain(card)
      expect(new Set(causes).size).toBe(5)
      expect(choicesFor(showing, 'cause')).toEqual(causes)
      expect([...choicesFor(showing, 'change')].sort()).toEqual([...causes].sort())
    }
    expect(choicesFor({ card: 'current high', shown: 0, known: 0 }, 'cause')).toContain('arc long')
  })
  it('do not always hold the truth at one place', () => {
    const places = new Set(
      Array.from({ length: 20 }, (_, shown) =>
        choicesFor({ card: 'arc long', shown, known: 0 }, 'cause').indexOf('arc long'),
      ),
    )
    expect(places.size).toBeGreaterThan(3)
  })
  it('are alike where they show the same signs', () => {
    expect(likeness('too long in crater', 'too short in crater')).toBeLessThan(likeness('current high', 'arc long'))
    expect(likeness('arc long', 'arc long')).toBeCloseTo(1, 12)
  })
})

describe('what comes back, and when', () => {
  it('begins with today’s new ones, in their order', () => {
    expect(nextCard([], at(0), DAY)).toMatchObject({
      showing: { card: 'current high', shown: 0 },
      due: true,
      waiting: NEW_A_DAY,
      nextAt: null,
    })
    const six = BEAD_CARDS.slice(0, NEW_A_DAY).map((card, n) => answer(card, n))
    expect(nextCard(six, at(7), DAY).showing.card).not.toBe(BEAD_CARDS[NEW_A_DAY])
    expect(
      nextCard(six, new Date(DAY.getTime() + 36 * 3_600_000), new Date('2026-10-06T00:00:00Z')).waiting,
    ).toBeGreaterThanOrEqual(NEW_A_DAY)
  })
  it('brings a missed one back within minutes, and a known one later the better it is known', () => {
    const missed = [answer('current high', 0, 'arc long'), answer('current low', 1)]
    expect(nextCard(missed, at(6), DAY).showing).toMatchObject({ card: 'current high', shown: 1, known: 0 })
    const due = (answers: BeadAnswer[]) =>
      cardStates(answers)
        .find(state => state.card === 'arc long')!
        .due!.getTime()
    const known = [answer('arc long', 0), answer('arc long', 15)]
    const half = [answer('arc long', 0), answer('arc long', 15, 'arc long', 'right')]
    expect(due(known)).toBeGreaterThan(due(half))
    const again = { ...answer('arc long', 0), at: new Date(due(known)).toISOString() }
    expect(due([...known, again]) - due(known)).toBeGreaterThan(due(known) - at(15).getTime())
  })
  it('does not show the bead just answered while another waits', () => {
    expect(nextCard([answer('current high', 0, 'arc long')], at(30), DAY).showing.card).not.toBe('current high')
  })
  it('shows ahead of time when nothing is due, and says when the next is', () => {
    const all = BEAD_CARDS.slice(0, NEW_A_DAY).flatMap((card, n) => [
      answer(card, n),
      answer(card, 20 + n),
      answer(card, 40 + n),
    ])
    const next = nextCard(all, at(60), DAY)
    expect(next).toMatchObject({ due: false, waiting: 0 })
    expect(next.nextAt!.getTime()).toBeGreaterThan(at(60).getTime())
  })
  it('is the sooner for a first right answer, which one of five is by luck, and for the first after a lapse', () => {
    const waits = (...causes: BeadCardId[]) => {
      const answers = causes.map((cause, n) => answer('arc long', 20 * n, cause))
      const { due } = cardStates(answers).find(state => state.card === 'arc long')!
      return due!.getTime() - at(20 * (causes.length - 1)).getTime()
    }
    expect(waits('arc long')).toBeLessThan(20 * 60_000)
    expect(waits('arc long', 'arc long')).toBeGreaterThan(waits('arc long'))
    expect(waits('arc long', 'arc long', 'arc long')).toBeGreaterThan(12 * 3_600_000)
  })
  it('is shown plainer again after a lapse', () => {
    const known = (...causes: BeadCardId[]) =>
      cardStates(causes.map((cause, n) => answer('arc long', 20 * n, cause))).find(state => state.card === 'arc long')!
        .known
    expect(known('arc long', 'arc long', 'arc long')).toBe(3)
    expect(known('arc long', 'arc long', 'arc long', 'strike')).toBe(1)
    expect(known('arc long', 'strike', 'strike')).toBe(0)
    expect(known('strike', 'arc long')).toBe(1)
  })
  it('half known is named without the change', () => {
    expect([
      knew(answer('strike', 0)),
      knew(answer('strike', 0, 'strike', 'right')),
      knew(answer('strike', 0, 'right', 'strike')),
    ]).toEqual(['both', 'cause', 'neither'])
  })
})

it('sums up: what was named of late, and what is taken for what', () => {
  const answers = [
    answer('arc long', 0, 'current high'),
    answer('arc long', 5, 'current high'),
    answer('strike', 9),
    answer('travel fast', 10, 'arc short'),
  ]
  expect(answersSummary(answers)).toMatchObject({
    shown: 4,
    late: 4,
    named: 1,
    mixedUp: { card: 'arc long', takenFor: 'current high', times: 2 },
  })
  expect(answersSummary(answers.slice(1)).mixedUp).toBeNull()
})
