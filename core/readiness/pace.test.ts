import { describe, expect, it } from 'vitest'
import type { Work } from '../trade'
import { classesFor, hoursFor, hoursHere, paceOf, pastClasses, untilTarget, USUAL_HOURS, type PastClass } from '.'

const aClass = (coupons: PastClass['coupons'], hours = 3.5): PastClass => ({
  classDay: '2026-10-05',
  minutes: 60 * hours,
  coupons,
})
const MISSED = aClass({}, 0)
const times = <Item>(count: number, item: Item): Item[] => Array.from({ length: count }, () => item)
const USUAL = hoursHere([])

describe('what work takes here', () => {
  it('is what is usual while nothing is known, and may be two fifths off', () => {
    for (const work of Object.keys(USUAL_HOURS) as Work[]) {
      expect(USUAL[work].hours).toBe(USUAL_HOURS[work])
      expect(USUAL[work].strays).toBeCloseTo(Math.hypot(0.4, 0.2), 12)
    }
  })
  it('comes of who ran what: two students with different work in classes as long', () => {
    // A pad takes half an hour and a groove two: four hours are eight pads, two grooves, or four pads and a groove.
    const classes = [
      ...times(60, aClass({ plate: 8 }, 4)),
      ...times(60, aClass({ groove: 2 }, 4)),
      ...times(60, aClass({ plate: 4, groove: 1 }, 4)),
    ]
    const { plate, groove, pipe } = hoursHere(classes)
    expect(plate.hours).toBeCloseTo(0.5, 2)
    expect(groove.hours).toBeCloseTo(2, 1)
    expect(groove.strays).toBeLessThan(0.21)
    expect(pipe).toEqual(USUAL.pipe)
  })
  it('is not told by classes in which nothing was read, nor by coupons of a day on which nobody was seen', () => {
    expect(hoursHere([MISSED, aClass({}), aClass({ plate: 3 }, 0)])).toEqual(USUAL)
  })
})

describe('a pace', () => {
  it('is what classes bring, and those that were missed bring nothing', () => {
    expect(paceOf(times(4, aClass({ plate: 3 })), USUAL)!.mean).toBeCloseTo(2.1, 12)
    expect(paceOf([...times(3, aClass({ plate: 4 })), MISSED], USUAL)!.mean).toBeCloseTo(2.1, 12)
  })
  it('knows what each kind of work takes: two grooves are no slower than four pads', () => {
    const [pads, grooves] = [paceOf([aClass({ plate: 4 })], USUAL)!, paceOf([aClass({ groove: 2 })], USUAL)!]
    expect(grooves.mean).toBeCloseTo(pads.mean, 12)
  })
  it('is unsure by half of a class at first, and by less the more classes there were alike', () => {
    const [one, nine] = [1, 9].map(count => paceOf(times(count, aClass({ plate: 3 })), USUAL)!) as [
      NonNullable<ReturnType<typeof paceOf>>,
      NonNullable<ReturnType<typeof paceOf>>,
    ]
    expect(one.deviation).toBeCloseTo(0.5 * 2.1, 12)
    expect(nine.deviation).toBeCloseTo((0.5 * 2.1) / 3, 12)
  })
  it('says how long an hour of work takes this student in the booth, held toward an hour', () => {
    // Seven hours in the booth for 4.2 hours of work, beside two hours of each.
    expect(paceOf(times(2, aClass({ plate: 3 })), USUAL)!.times).toBeCloseTo(9 / 6.2, 12)
  })
  it('is none where nothing was run', () => {
    expect([paceOf([], USUAL), paceOf([MISSED, MISSED], USUAL)]).toEqual([null, null])
  })
})

describe('classes and hours for so many coupons', () => {
  const pace = paceOf(times(8, aClass({ plate: 3 })), USUAL)!
  it('in the middle are what the work takes over what a class brings', () => {
    expect(classesFor(pace, { coupons: 9, work: 'plate' }, 0)).toBe(3)
    expect(classesFor(pace, { coupons: 9, work: 'groove' }, 0)).toBe(6)
    expect(hoursFor(pace, { coupons: 9, work: 'groove' }, 0)).toBeCloseTo(9 * 1.4 * (30 / 18.8), 12)
  })
  it('are more for whoever is to be surer, and fewer for the quick', () => {
    const of = (sure: number) => classesFor(pace, { coupons: 20, work: 'groove' }, sure)!
    expect(of(0.84)).toBeGreaterThan(of(0))
    expect(of(-0.84)).toBeLessThan(of(0))
    // By hand: 28 h wanted, off by 12.5 of them, at 2.1 h a class, off by 0.37 (n + n²/8)^½ after n of them.
    expect(of(0)).toBe(14)
    expect(of(-0.84)).toBe(9)
    expect(of(0.84)).toBe(19)
    const [low, high] = [-0.84, 0.84].map(sure => hoursFor(pace, { coupons: 20, work: 'groove' }, sure))
    expect(Math.sqrt(low! * high!)).toBeCloseTo(hoursFor(pace, { coupons: 20, work: 'groove' }, 0), 9)
  })
  it('are none that anybody looks ahead for where a class brings too little', () => {
    const slow = paceOf([...times(30, MISSED), aClass({ plate: 1 })], USUAL)!
    expect(classesFor(slow, { coupons: 90, work: 'pipe' }, 0)).toBeNull()
  })
})

describe('the last classes of a student', () => {
  const HELD = ['2026-10-05', '2026-10-07', '2026-10-12', '2026-10-14']
  const there = (...days: string[]) => days.map(day => ({ day, minutes: 180 }))
  const run = (day: string, coupons: number, work: Work = 'plate') => ({ day, work, coupons })
  it('are those that were held, the missed among them; holidays are not', () => {
    const known = { there: there('2026-10-05', '2026-10-12'), runs: [run('2026-10-05', 3), run('2026-10-12', 2)] }
    expect(pastClasses(HELD, known, 8).map(one => [one.minutes, one.coupons.plate ?? 0])).toEqual([
      [180, 3],
      [0, 0],
      [180, 2],
      [0, 0],
    ])
  })
  it('begin with the first that the student came to, and are no more than were asked for', () => {
    const known = { there: there('2026-10-12'), runs: [run('2026-10-12', 2), run('2026-10-12', 1, 'groove')] }
    expect(pastClasses(HELD, known, 8)).toEqual([
      { classDay: '2026-10-12', minutes: 180, coupons: { plate: 2, groove: 1 } },
      { classDay: '2026-10-14', minutes: 0, coupons: {} },
    ])
    expect(pastClasses(HELD, { there: there('2026-10-05'), runs: [] }, 2).map(one => one.classDay)).toEqual(
      HELD.slice(2),
    )
    expect(pastClasses(HELD, { there: [], runs: [] }, 8)).toEqual([])
  })
  it('take in what was run between them: a Saturday counts for the class before it', () => {
    const known = { there: there('2026-10-07', '2026-10-10'), runs: [run('2026-10-07', 1), run('2026-10-10', 4)] }
    expect(pastClasses(HELD, known, 8)[0]).toEqual({
      classDay: '2026-10-07',
      minutes: 360,
      coupons: { plate: 5 },
    })
  })
})

describe('until the odds wanted', () => {
  const forecast = (early: number | null, late: number | null, likely: number | null = 10) => ({
    target: 0.6,
    early,
    likely,
    late,
    steps: [],
  })
  const wanted = {
    work: 'groove',
    timetable: { weekdays: ['Mon', 'Wed'], daysOff: [], last: '2026-12-16' },
    today: '2026-10-05',
  } as const
  const pace = paceOf(times(8, aClass({ plate: 4 })), USUAL)!
  it('says coupons, hours and days from the quick to the slow', () => {
    const { coupons, then } = untilTarget(forecast(3, 10), pace, wanted)!
    expect(coupons).toEqual({ least: 3, most: 10 })
    expect(then!.perClass).toBeCloseTo(2, 12)
    expect(then!.hours.least).toBeLessThan(3 * 1.4 * pace.times)
    expect(then!.hours.most).toBeGreaterThan(10 * 1.4 * pace.times)
    // One class for three grooves if all goes well; ten in seven classes if it does not: 14 h, off by 6.3.
    expect([then!.first, then!.last]).toEqual(['2026-10-07', '2026-10-28'])
  })
  it('is open at the end where the slow do not come there, or not this term', () => {
    expect(untilTarget(forecast(3, null), pace, wanted)!.then!.last).toBeNull()
    expect(untilTarget(forecast(3, null), pace, wanted)!.then!.hours.most).toBeNull()
    const late = untilTarget(forecast(60, 90), pace, wanted)!.then!
    expect([late.first, late.last]).toEqual(['2026-12-09', null])
    expect(untilTarget(forecast(90, 90), pace, wanted)!.then!.first).toBeNull()
  })
  it('is nothing where it is there, or is not to be had by more of the same', () => {
    expect(untilTarget(forecast(0, 3, 0), pace, wanted)).toBeNull()
    expect(untilTarget(forecast(null, null, null), pace, wanted)).toBeNull()
  })
  it('says coupons alone where nobody knows the pace', () => {
    expect(untilTarget(forecast(3, 10), null, wanted)).toEqual({ coupons: { least: 3, most: 10 }, then: null })
  })
})
