import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { DEFAULT_HOUSE_RULES, writeRule, type HouseRules } from '../../core/house'
import type { SavedCoupon } from '../../contract/coupon'
import type { CouponPage, RulesVersion } from '../../contract/record'
import { keepRules, allRules, currentRules, rulesOf } from '../../server/store/houseRules'
import { foundTestSchool, type School } from '../school'

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})

const versions = async () => (await school.lead.ask<RulesVersion[]>('GET', '/api/house-rules')).body
const save = (rules: unknown, baseVersion: number, why = 'as we run it') =>
  school.lead.ask<RulesVersion & { detail: string; errors: { path: string; message: string }[] }>(
    'POST',
    '/api/house-rules',
    { baseVersion, why, rules },
  )

describe('the store of house rules', () => {
  it('keeps every version; the newest is in force', async () => {
    const next = (await currentRules()).version + 1
    const changed = { ...DEFAULT_HOUSE_RULES, goodInARow: 5 }
    const kept = await keepRules(next - 1, changed, {
      by: 'Maren Holt',
      why: 'five in a row',
      now: new Date('2026-10-05T10:00:00Z'),
    })
    expect(kept?.version).toBe(next)
    expect(await currentRules()).toEqual({
      version: next,
      rules: changed,
      saved: { by: 'Maren Holt', why: 'five in a row', at: '2026-10-05T10:00:00.000Z' },
    })
    expect(await rulesOf(1)).toEqual(DEFAULT_HOUSE_RULES)
    expect(await rulesOf(next)).toEqual(changed)
    expect(await rulesOf(99_999)).toBeNull()
    expect((await allRules()).map(row => row.version)).toEqual(Array.from({ length: next }, (_, n) => n + 1))
  })

  it('gives a version once', async () => {
    const { version } = await currentRules()
    const saver = { by: 'x', why: 'x', now: new Date() }
    expect(await keepRules(version - 1, DEFAULT_HOUSE_RULES, saver)).toBeNull()
    expect(await keepRules(version + 1, DEFAULT_HOUSE_RULES, saver)).toBeNull()
    const both = await Promise.all([1, 2].map(() => keepRules(version, DEFAULT_HOUSE_RULES, saver)))
    expect(both.filter(one => one !== null)).toHaveLength(1)
  })

  it('completes rules kept before a line existed', async () => {
    const next = (await currentRules()).version + 1
    const { ways, arcCores, ...older } = DEFAULT_HOUSE_RULES
    await keepRules(next - 1, older as HouseRules, { by: 'x', why: 'older', now: new Date() })
    expect(await rulesOf(next)).toEqual({ ...older, ways, arcCores })
  })
})

describe('saving house rules', () => {
  it('keeps who, when and why, and is in force at once', async () => {
    const before = (await versions()).at(-1)!
    const { status, body } = await save(
      writeRule(DEFAULT_HOUSE_RULES, 'pass.restarts', 0.6),
      before.version,
      'a gentler start',
    )
    expect(status).toBe(201)
    expect(body.version).toBe(before.version + 1)
    expect((await versions()).at(-1)).toMatchObject({
      version: before.version + 1,
      rules: { pass: { restarts: 0.6 } },
      saved: { by: 'Maren Holt', why: 'a gentler start' },
    })
  })

  it('refuses a save over newer rules, and says whose', async () => {
    const { version } = (await versions()).at(-1)!
    const { status, body } = await save(DEFAULT_HOUSE_RULES, version - 1)
    expect([status, body.detail]).toEqual([
      409,
      'Maren Holt saved newer house rules meanwhile. Load them, and make your changes on those.',
    ])
    expect((await versions()).at(-1)!.version).toBe(version)
    expect((await save(DEFAULT_HOUSE_RULES, version + 7)).status).toBe(409)
  })

  it('lets one of two savers at a time through', async () => {
    const { version } = (await versions()).at(-1)!
    const both = await Promise.all([save(DEFAULT_HOUSE_RULES, version), save(DEFAULT_HOUSE_RULES, version)])
    expect(both.map(answer => answer.status).sort()).toEqual([201, 409])
  })

  it('names the line that is wrong, with its range, and keeps nothing', async () => {
    const { version } = (await versions()).at(-1)!
    const { status, body } = await save({ ...DEFAULT_HOUSE_RULES, overlap: { low: 0.3, high: 2 } }, version)
    expect(status).toBe(422)
    expect(body.errors).toEqual([
      { path: 'rules.overlap.high', message: 'Overlap on the last bead: from 10 % to 80 %' },
    ])
    expect((await versions()).at(-1)!.version).toBe(version)
  })
})

it('a coupon is judged by the rules of its day, whatever is saved after it', async () => {
  const strict = (await save(writeRule(DEFAULT_HOUSE_RULES, 'pass.starts', 1), (await versions()).at(-1)!.version)).body
    .version
  const easy = (await save(writeRule(DEFAULT_HOUSE_RULES, 'pass.starts', 0.5), strict)).body.version
  const coupon = aCoupon({ studentId: school.other.id })
  const marks = coupon.marks.map(mark =>
    mark.id === 'b1-start' && mark.kind === 'start' ? { ...mark, degree: 'poor' as const } : mark,
  )
  const verdictBy = async (rulesVersion: number) => {
    const id = uuid()
    const saved = await school.instructor.ask<SavedCoupon>('PUT', `/api/coupons/${id}`, {
      baseVersion: 0,
      why: '',
      document: { ...coupon, marks, rulesVersion },
    })
    expect(saved.status).toBe(200)
    const { body } = await school.lead.ask<CouponPage>('GET', `/api/students/${school.other.id}/coupons`)
    return body.coupons.find(one => one.id === id)!.verdict
  }
  expect(await verdictBy(strict)).toBe('run it again')
  expect(await verdictBy(easy)).toBe('move on')
})

it('a ticket may say how long a rod was out, and a bead how long the arc burnt', async () => {
  const coupon = aCoupon({ studentId: school.other.id })
  const timed = {
    ...coupon,
    ticket: { ...coupon.ticket, hoursOut: 5 },
    beads: coupon.beads.map((bead, n) => (n === 0 ? { ...bead, arcSeconds: 36.5 } : bead)),
  }
  const put = (document: unknown) =>
    school.instructor.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
  expect((await put(timed)).status).toBe(200)
  expect(
    (await put({ ...timed, beads: timed.beads.map(bead => ({ ...bead, arcSeconds: 0 })) })).body.errors,
  ).toMatchObject([{ message: expect.stringContaining('more than 0 s') }, {}, {}, {}, {}, {}])
  expect((await put({ ...timed, ticket: { ...timed.ticket, hoursOut: -1 } })).status).toBe(422)
})
