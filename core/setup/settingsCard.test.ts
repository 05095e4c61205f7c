import { describe, expect, it } from 'vitest'
import { expectedPasses } from '../coupon'
import { aTicket } from '../coupon/example'
import { DEFAULT_HOUSE_RULES, writeRule } from '../house'
import { burnRods } from '../deposit'
import { inches } from '../units'
import { designation, JOINTS, padRungs, PASSES, rodAngles, rodRun, rungSettings, settingsCard, type SetUpCase } from '.'

const rules = DEFAULT_HOUSE_RULES
const aCase = (change: Partial<SetUpCase> = {}): SetUpCase => ({
  classification: 'E7018',
  diameterMm: inches(1 / 8),
  position: '1G',
  travel: 'left to right',
  joint: 'pad',
  pass: 'bead',
  thicknessMm: inches(3 / 8),
  polarity: 'DCEP',
  rods: 'new',
  ...change,
})

// Common practice, as instructors have timed it.
describe('what the defaults come to', () => {
  it('a 14 in E7018 of 1/8 in at 125 A lays 9 to 12 in of horizontal pad', () => {
    const card = settingsCard(aCase({ position: '2G' }), rules)
    expect(card.current.startA).toBe(125)
    expect(card.runOutMm / 25.4).toBeGreaterThan(9)
    expect(card.runOutMm / 25.4).toBeLessThan(12)
    expect(card.rodSeconds).toBeGreaterThan(50)
    expect(card.rodSeconds).toBeLessThan(75)
  })

  it.each([
    ['T', 'first'],
    ['V, open root', 'fill'],
    ['V, backing', 'root'],
  ] as const)('an 8 in vertical %s with 3/32 rods needs two restarts or more', (joint, pass) => {
    const { runOutMm } = settingsCard(
      aCase({ diameterMm: inches(3 / 32), position: '3G', travel: 'up', joint, pass }),
      rules,
    )
    expect(runOutMm / 25.4).toBeLessThan(4)
    expect(burnRods([inches(8)], runOutMm).restarts[0]!.length).toBeGreaterThanOrEqual(2)
  })

  // Common practice: 12 mm of 60° takes 4 passes; 3/8 in on backing, overhead, 1 root, 2 fill, 3 cap.
  it.each([
    ['V, backing', '4G', inches(3 / 8), 6],
    ['V, open root', '1G', 12, 4],
  ] as const)('a %s in %s of %d mm takes the passes it is known for', (joint, position, thicknessMm, passes) =>
    expect(settingsCard(aCase({ joint, position, pass: 'fill', thicknessMm }), rules).bead.passes).toBe(passes),
  )

  it('says as many passes as a coupon of that groove is laid out with', () => {
    const groove = {
      shape: 'V',
      gapMm: inches(1 / 8),
      landMm: inches(3 / 32),
      includedDegrees: 60,
      backing: false,
    } as const
    for (const position of ['1G', '3G', '4G'] as const)
      for (const thicknessMm of [inches(3 / 8), 12, inches(3 / 4)]) {
        const piece = { kind: 'plate groove', lengthMm: 150, thicknessMm, groove } as const
        const ticket = aTicket({ position, travel: position === '3G' ? 'up' : 'left to right' })
        const { bead } = settingsCard(aCase({ joint: 'V, open root', position, pass: 'fill', thicknessMm }), rules)
        expect(expectedPasses(piece, ticket, rules)).toHaveLength(bead.passes)
      }
  })
})

describe('a rod’s run', () => {
  it('is the card’s at the card’s current', () =>
    expect(rodRun(aCase(), 125, rules)).toBeCloseTo(settingsCard(aCase(), rules).runOutMm, 6))
  it('is shorter with more current at the same speed, and with a longer stub', () => {
    expect(rodRun(aCase(), 145, rules)).toBeLessThan(rodRun(aCase(), 125, rules))
    expect(rodRun(aCase(), 125, writeRule(rules, 'stubMm', inches(5)))).toBeLessThan(rodRun(aCase(), 125, rules))
  })
})

describe('angles', () => {
  const angles = (change: Partial<SetUpCase>, by = rules) => rodAngles(aCase(change), by)
  // Common practice: drag flat, push vertical up, straight in overhead; a keyhole that climbs is pushed 10 to 15.
  it.each([
    [{}, { low: 10, high: 15, lean: 'drag' }],
    [
      { position: '3G', travel: 'up' },
      { low: 5, high: 10, lean: 'push' },
    ],
    [{ position: '4G' }, { low: 0, high: 5, lean: 'drag' }],
    [
      { joint: 'V, open root', pass: 'root', position: '3G', travel: 'up' },
      { low: 10, high: 15, lean: 'push' },
    ],
    [
      { joint: 'V, open root', pass: 'root' },
      { low: 10, high: 15, lean: 'drag' },
    ],
    [
      { joint: 'V, open root', pass: 'root', position: '2G' },
      { low: 10, high: 15, lean: 'drag' },
    ],
    [
      { joint: 'V, open root', pass: 'root', position: '4G' },
      { low: 0, high: 5, lean: 'drag' },
    ],
    [{ joint: 'lap' }, { low: 5, high: 10, lean: 'drag' }],
    [
      { classification: 'E6013', joint: 'T', pass: 'first' },
      { low: 20, high: 30, lean: 'drag' },
    ],
    [
      { classification: 'E6013', joint: 'V, backing', pass: 'fill' },
      { low: 20, high: 45, lean: 'drag' },
    ],
  ] as const)('%j', (change, travel) => expect(angles(change).travel).toEqual(travel))

  it('point up on a horizontal line, and at 45 from the lower plate in a T', () => {
    expect(angles({ position: '2G' }).work).toEqual({ low: 5, high: 10, from: 'square', up: true })
    expect(angles({ joint: 'T', pass: 'first' }).work).toMatchObject({ low: 45, high: 45 })
    expect(angles({ joint: 'T', pass: 'second' }).work).toMatchObject({ low: 70, high: 70 })
    expect(angles({ joint: 'T', pass: 'third' }).work).toMatchObject({ low: 35, high: 40 })
    const bisects = writeRule(rules, 'ways.teeAim', 'bisect')
    expect(angles({ joint: 'T', pass: 'second' }, bisects).work.low).toBe(45)
  })
})

describe('a card', () => {
  it('names the position as the joint does', () => {
    expect(settingsCard(aCase({ position: '2G', joint: 'T', pass: 'first' }), rules).title).toBe(
      '2F horizontal, T, first',
    )
    expect(designation('4G', 'V, backing')).toBe('4G')
  })
  it('carries the cautions of its position and rod', () => {
    const topics = (change: Partial<SetUpCase>) =>
      settingsCard(aCase(change), rules).cautions.map(caution => caution.topic)
    expect(topics({ position: '4G' })).toContain('overhead')
    expect(topics({})).not.toContain('overhead')
    expect(topics({ rods: 'stubs' })).toContain('stubs')
    expect(topics({ classification: 'E6010' })).not.toContain('low hydrogen')
  })
  it('says what does not fit rather than refuse', () => {
    expect(settingsCard(aCase({ polarity: 'DCEN' }), rules).remarks[0]?.finding).toBe('wrong polarity')
    expect(
      settingsCard(aCase({ classification: 'E7024', position: '4G', polarity: 'AC' }), rules).remarks.map(
        row => row.finding,
      ),
    ).toContain('rod unfit for position')
  })
  it('says things the house’s way', () => {
    expect(settingsCard(aCase(), writeRule(rules, 'ways.lighting', 'tap')).ways[0]).toContain('tap')
    expect(
      settingsCard(aCase({ position: '2G' }), writeRule(rules, 'ways.horizontalAim', 'on the toe')).watch[0],
    ).toContain('on the last toe')
  })
  it('can be made for every joint and pass', () => {
    for (const joint of JOINTS) {
      for (const pass of PASSES[joint]) {
        const card = settingsCard(aCase({ joint, pass }), rules)
        expect(card.travelMmPerMin > 0 && card.runOutMm > 0 && card.heatKjPerMm > 0).toBe(true)
      }
    }
  })
})

describe('rungs', () => {
  it('stand in the house’s order', () => {
    expect(padRungs(rules).map(rung => rung.position)).toEqual(['1G', '2G', '3G', '4G'])
    expect(padRungs(writeRule(rules, 'ways.order', 'overhead first')).map(rung => rung.position)).toEqual([
      '1G',
      '2G',
      '4G',
      '3G',
    ])
  })
  it('give the house’s first rod, the card’s current, and a left-hander’s way', () => {
    const [flat, , vertical] = padRungs(rules)
    expect(rungSettings(flat!, 'left', 9.5, rules)).toMatchObject({
      rung: 'flat pad',
      classification: 'E7018',
      currentA: 125,
      travel: 'right to left',
      polarity: 'DCEP',
    })
    expect(rungSettings(vertical!, 'left', 9.5, rules)).toMatchObject({ travel: 'up', currentA: 110 })
    expect(rungSettings(flat!, 'right', 9.5, writeRule(rules, 'ways.firstRod', 'E6013')).classification).toBe('E6013')
  })
})
