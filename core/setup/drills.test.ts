import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES, writeRule } from '../house'
import {
  arcRun,
  arcVolts,
  beadHeat,
  carbonEquivalents,
  fromPlate,
  leastPreheat,
  lensShade,
  nextDrillStep,
  remoteCurrent,
  remotePercent,
  sayTravelAngle,
  toPlate,
  type DrillBead,
  type DrillTarget,
} from '.'

const target: DrillTarget = {
  widthMm: { low: 5, high: 7 },
  heightMm: { low: 1.6, high: 3.2 },
  window: { lowA: 110, highA: 150 },
}
/** A bead as a machine that is right at `rightA` lays it: wider and flatter with current. */
const beadAt = (currentA: number, rightA: number): DrillBead => {
  const off = (currentA - rightA) / 15
  return {
    currentA,
    widthMm: Math.max(1, 6 + off),
    heightMm: Math.max(0.4, 2.4 - 0.8 * off),
    toes: off > 0.8 ? 'undercut' : off < -0.8 ? 'rolled over' : 'wetted in',
  }
}

describe('the three-bead drill', () => {
  it('begins hot, goes cold, then between', () => {
    expect(nextDrillStep([], target)).toMatchObject({ nextA: 150, done: false })
    const hot = beadAt(150, 127)
    expect(nextDrillStep([hot], target)).toMatchObject({ nextA: 110, say: 'Now one too cold on purpose' })
    const { nextA } = nextDrillStep([hot, beadAt(110, 127)], target)
    expect(nextA).toBeGreaterThan(110)
    expect(nextA).toBeLessThan(150)
  })
  it('finds the right current within two beads’ reading, whatever it is, in at most eight beads', () => {
    fc.assert(
      fc.property(fc.double({ min: 100, max: 165, noNaN: true }), rightA => {
        const beads: DrillBead[] = []
        let step = nextDrillStep(beads, target)
        while (!step.done && beads.length < 8) {
          beads.push(beadAt(step.nextA, rightA))
          step = nextDrillStep(beads, target)
        }
        expect(step.done).toBe(true)
        expect(Math.abs(step.nextA - rightA)).toBeLessThanOrEqual(6)
      }),
    )
  })
  it('asks for a second bead before it believes the first', () => {
    const right = beadAt(125, 125)
    expect(nextDrillStep([right], target)).toMatchObject({ done: false, nextA: 125 })
    expect(nextDrillStep([right, right], target)).toMatchObject({ done: true, nextA: 125 })
  })
  it('says so when less current reads hotter', () => {
    expect(nextDrillStep([beadAt(150, 100), { ...beadAt(150, 180), currentA: 160 }], target).say).toContain(
      'Less current reads hotter',
    )
  })
  it('reads wide, flat and cut as hot, and the other way as cold', () => {
    expect(beadHeat({ currentA: 1, widthMm: 7, heightMm: 1.6, toes: 'undercut' }, target)).toBeCloseTo(1, 9)
    expect(beadHeat({ currentA: 1, widthMm: 5, heightMm: 3.2, toes: 'rolled over' }, target)).toBeCloseTo(-1, 9)
    expect(beadHeat({ currentA: 1, widthMm: 6, heightMm: 2.4, toes: 'wetted in' }, target)).toBeCloseTo(0, 9)
  })
  it('names the bead that has no size', () =>
    expect(() => nextDrillStep([{ ...beadAt(120, 120), heightMm: 0 }], target)).toThrow(/Bead 1/))
})

describe('remote, common practice: 200 A at 40 % is 80 A', () => {
  it('both ways', () => {
    expect(remoteCurrent(200, 40)).toBe(80)
    expect(remotePercent(200, 80)).toBe(40)
  })
  it('says the range', () => {
    expect(() => remoteCurrent(200, 120)).toThrow('0 to 100 %')
    expect(() => remoteCurrent(0, 40)).toThrow('more than 0 A')
    expect(() => remotePercent(80, 125)).toThrow('turn it up to 125 A')
    expect(() => remotePercent(200, -1)).toThrow('0 A or more')
  })
})

describe('angles: one convention inside', () => {
  // Common practice: 60 to 70 to the plate is 20 to 30 drag.
  it('converts both ways', () => {
    expect([toPlate(20), toPlate(30), toPlate(-10)]).toEqual([70, 60, 80])
    expect([fromPlate(70, 'drag'), fromPlate(80, 'push')]).toEqual([20, -10])
    fc.assert(
      fc.property(fc.double({ min: 0, max: 90, noNaN: true }), fc.constantFrom('drag', 'push'), (plate, lean) => {
        expect(toPlate(fromPlate(plate, lean as 'drag'))).toBeCloseTo(plate, 9)
      }),
    )
    expect(() => toPlate(91)).toThrow(RangeError)
    expect(() => fromPlate(-1, 'drag')).toThrow(RangeError)
  })
  it('speaks the house’s words', () => {
    const plate = writeRule(DEFAULT_HOUSE_RULES, 'ways.angleWords', 'to the plate')
    expect(sayTravelAngle({ low: 10, high: 15, lean: 'drag' }, DEFAULT_HOUSE_RULES)).toBe('drag 10 to 15°')
    expect(sayTravelAngle({ low: 10, high: 15, lean: 'drag' }, plate)).toBe(
      '75 to 80° to the plate, pointing back at the weld',
    )
    expect(sayTravelAngle({ low: 0, high: 5, lean: 'drag' }, DEFAULT_HOUSE_RULES)).toBe('straight in to drag 5°')
    expect(sayTravelAngle({ low: 0, high: 0, lean: 'drag' }, plate)).toBe('straight in')
  })
})

it('a timed bead gives its speed and heat beside the card’s', () => {
  // 6 in in 60 s is 6 in/min; 25 V and 125 A make 31.25 kJ/in of it (arithmetic).
  const run = arcRun({ lengthMm: 152.4, seconds: 60, currentA: 125, volts: 25, targetMmPerMin: 254 })
  expect(run.travelMmPerMin).toBeCloseTo(152.4, 9)
  expect(run.kjPerMm * 25.4).toBeCloseTo(31.25, 9)
  expect(run.ofTarget).toBeCloseTo(0.6, 9)
  expect(() => arcRun({ lengthMm: 152.4, seconds: 0, currentA: 125, volts: 25, targetMmPerMin: 254 })).toThrow(/time/)
  expect(() => arcRun({ lengthMm: 0, seconds: 9, currentA: 125, volts: 25, targetMmPerMin: 254 })).toThrow(/bead/)
})

// Makers' handbooks and the load line of IEC 60974-1 (20 + 0.04 I), from memory.
it('knows the volts of a close arc', () => {
  expect(arcVolts('E7018', 125)).toMatchObject({ low: 21, high: 25 })
  const { middle, source } = arcVolts('E6012', 125)
  expect([middle, source.name]).toEqual([25, 'IEC 60974-1'])
})

// ANSI Z49.1 / AWS F2.2, from memory.
it.each([
  ['SMAW', 59, 7, null],
  ['SMAW', 60, 8, 10],
  ['SMAW', 160, 8, 10],
  ['SMAW', 161, 10, 12],
  ['SMAW', 250, 10, 12],
  ['SMAW', 300, 11, 14],
  ['GTAW', 49, 8, 10],
  ['GTAW', 100, 8, 12],
  ['GTAW', 200, 10, 14],
] as const)('%s at %d A: shade %d at least', (process, amperes, least, suggested) =>
  expect(lensShade(process, amperes)).toEqual({ least, suggested }),
)
it('has no shade for no arc', () => expect(() => lensShade('SMAW', 0)).toThrow('From 1 to 550 A'))

// Worked by hand from the IIW, AWS D1.1 annex, Pcm and EN 1011-2 formulas.
it('gives four carbon equivalents of one steel', () => {
  const steel = { C: 0.18, Mn: 1.3, Si: 0.3, Cr: 0.05, Mo: 0.02, V: 0.04, Ni: 0.05, Cu: 0.2 }
  const { iiw, d11, pcm, cet } = carbonEquivalents(steel)
  expect(iiw).toBeCloseTo(0.4353, 4)
  expect(d11).toBeCloseTo(0.4853, 4)
  expect(pcm).toBeCloseTo(0.2737, 4)
  expect(cet).toBeCloseTo(0.3258, 3)
  expect(() => carbonEquivalents({ ...steel, Mn: -1 })).toThrow(/Mn/)
})

// AWS D1.1:2015 Table 3.3, from memory.
it.each([
  ['A: SMAW, not low hydrogen', 19.05, 32, 0],
  ['A: SMAW, not low hydrogen', 19.1, 150, 65],
  ['B: low-hydrogen SMAW, common steels', 38.1, 50, 10],
  ['B: low-hydrogen SMAW, common steels', 63.5, 150, 65],
  ['C: low-hydrogen SMAW, higher strength', 80, 300, 150],
] as const)('%s, %d mm: %d °F', (category, mm, fahrenheit, celsius) =>
  expect(leastPreheat(category, mm)).toEqual({ fahrenheit, celsius }),
)
it('begins its preheat table at 1/8 in', () =>
  expect(() => leastPreheat('A: SMAW, not low hydrogen', 2)).toThrow('1/8 in'))
