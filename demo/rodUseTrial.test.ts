import { expect, it } from 'vitest'
import { tryRodUse } from './rodUseTrial'

const SEEDS = [21, 22, 23, 24]
const ASKED = [
  [4, 2],
  [6, 2],
  [8, 2],
  [6, 4],
] as const

it('what the coming weeks use lies in what was said about eight times in ten, where the book alone is wrong', () => {
  const { byLadder, byBook } = tryRodUse({ seeds: SEEDS, stubDays: false, asked: ASKED })
  expect(byLadder.said).toBeGreaterThan(40)
  expect(byLadder.held).toBeGreaterThan(0.7)
  expect(byLadder.held).toBeLessThan(0.93)
  expect(byLadder.off).toBeLessThan(0.13)
  expect(byBook.held).toBeLessThan(0.5)
  expect(byBook.off).toBeGreaterThan(5 * byLadder.off)
})

it('and no less where one coupon in six is run on stubs', () => {
  const { byLadder, byBook } = tryRodUse({ seeds: SEEDS, stubDays: true, asked: ASKED })
  expect(byLadder.said).toBeGreaterThan(40)
  expect(byLadder.held).toBeGreaterThan(0.7)
  expect(byLadder.off).toBeLessThan(0.13)
  expect(byBook.off).toBeGreaterThan(5 * byLadder.off)
})

it('nor in the weeks after a holiday: weeks without class say nothing of a pace', () => {
  const asked = [
    [6, 2],
    [7, 2],
    [8, 2],
  ] as const
  const { byLadder } = tryRodUse({ seeds: SEEDS, stubDays: false, holidayAfter: 5, asked })
  expect(byLadder.said).toBeGreaterThan(30)
  expect(byLadder.held).toBeGreaterThan(0.7)
  expect(byLadder.off).toBeLessThan(0.13)
})

it('nor where a holiday lies ahead, once it stands in the calendar: without that it is far too much', () => {
  const trial = { seeds: SEEDS, stubDays: false, holidayAfter: 5, askedBefore: true, asked: [[5, 4]] } as const
  const [said, unsaid] = [true, false].map(inCalendar => tryRodUse({ ...trial, inCalendar }).byLadder)
  expect(said!.said).toBeGreaterThan(10)
  expect(said!.held).toBeGreaterThan(0.7)
  expect(said!.off).toBeLessThan(0.16)
  expect(unsaid!.held).toBeLessThan(0.4)
  expect(unsaid!.off).toBeGreaterThan(0.6)
})
