import { expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES } from '~~/core/house'
import { FULL_LADDER } from '~~/core/ladder'
import { cardSheets } from './cardPdf'
import { planCards } from './planCards'

const rungs = FULL_LADDER.rungs
const rungOf = (piece: string, open = false) => rungs.find(rung => rung.piece === piece && rung.open === open)!
const pad = rungs.find(rung => rung.piece === 'pad' && rung.position === '2G' && rung.hand === 'own')!
const root = rungOf('plate groove', true)
const students = [
  { id: 'anna', name: 'Anna Quill', hand: 'right' },
  { id: 'ben', name: 'Ben Dale', hand: 'left' },
] as const
const line = (studentId: string, rungId: string, booth: number, from: number, nth = 1) => ({
  ...{ studentId, rungId, nth, booth, from, minutes: 45, pinned: false },
})
const of = { students, rungs, rules: DEFAULT_HOUSE_RULES, sectionId: 'sec', origin: 'http://shop.local' }

it('has a card for each rung that a student runs, booth by booth, in the own hand; its code opens that rung', () => {
  const cards = planCards([line('ben', pad.id, 2, 0), line('anna', pad.id, 1, 60, 2), line('anna', pad.id, 1, 0)], of)
  expect(cards.map(card => [card.booth, card.student, card.hand])).toEqual([
    [1, 'Anna Quill', 'right'],
    [2, 'Ben Dale', 'left'],
  ])
  expect(cards.map(card => card.wanted.travel)).toEqual(['left to right', 'right to left'])
  const query = new URLSearchParams({ section: 'sec', student: 'anna', rung: pad.id })
  expect(cards[0]!.address).toBe(`http://shop.local/bench?${query}`)
  expect(cards[0]!.card.current.startA).toBe(cards[1]!.card.current.startA)
})
it('has a card for each pass of a joint that is set otherwise, and a sheet for four of them', () => {
  const cards = planCards([line('anna', root.id, 1, 0)], of)
  const passes = cards.map(card => card.wanted.pass)
  expect(passes[0]).toBe('root')
  expect(passes).toEqual([...new Set(passes)])
  expect(passes.length).toBeGreaterThan(2)
  expect(cards.every(card => card.wanted.joint === 'V, open root')).toBe(true)
  const sheets = cardSheets([...cards, ...cards], DEFAULT_HOUSE_RULES).content as unknown[]
  expect(sheets).toHaveLength(Math.ceil((2 * cards.length) / 4))
})
it('leaves out who is not on the roster, and rungs that are no longer on the ladder', () => {
  expect(planCards([line('cara', pad.id, 1, 0), line('anna', 'gone', 1, 0)], of)).toEqual([])
})
