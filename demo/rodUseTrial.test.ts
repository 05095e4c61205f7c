import { expect, it } from 'vitest'
import { tryRodUse } from './rodUseTrial'

it('what the coming weeks use lies in what was said about eight times in ten, where the book alone is wrong', () => {
  const { byLadder, byBook } = tryRodUse({
    seeds: [21, 22, 23, 24],
    asked: [
      [4, 2],
      [6, 2],
      [8, 2],
      [6, 4],
    ],
  })
  expect(byLadder.said).toBeGreaterThan(40)
  expect(byLadder.held).toBeGreaterThan(0.7)
  expect(byLadder.held).toBeLessThan(0.93)
  expect(byLadder.off).toBeLessThan(0.13)
  expect(byBook.held).toBeLessThan(0.5)
  expect(byBook.off).toBeGreaterThan(5 * byLadder.off)
})
