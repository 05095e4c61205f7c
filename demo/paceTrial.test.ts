import { describe, expect, it } from 'vitest'
import { PACE_WORLDS, tryPace } from './paceTrial'

/**
 * Classes and hours until so many coupons, put to the proof in three shops in which work takes otherwise than is
 * usual. Before, with coupons on the days somebody was there and 1.4 hours for each, half of the students were said
 * classes that were off by 50, 37 and 14 of 100, and hours by 26, 16 and 51.
 */
describe.each(PACE_WORLDS)('in $name', world => {
  const score = tryPace(world, 7, 50)
  it('classes that are said hold what it takes for three of four, and few need more', () => {
    expect(score.students).toBeGreaterThan(550)
    expect(score.classesHeld).toBeGreaterThan(0.71)
    expect(score.classesLater).toBeLessThan(0.19)
    expect(score.classesOff).toBeLessThan(0.28)
  })
  it('so do hours', () => {
    expect(score.hoursHeld).toBeGreaterThan(0.77)
    expect(score.hoursMore).toBeLessThan(0.21)
    expect(score.hoursOff).toBeLessThan(0.18)
  })
})
