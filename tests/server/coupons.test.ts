import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { CouponRevision, SavedCoupon } from '../../contract/coupon'
import type { CouponPage, StudentRecord } from '../../contract/record'
import type { FloorStudent } from '../../contract/people'
import { putMark, type CouponDocument } from '../../core/coupon'
import { aCoupon, aFlaw } from '../../core/coupon/example'
import { drawLearner, weldCoupon } from '../../core/simulate'
import { seededRandom } from '../../core/statistics'
import { database, inTransaction, rows } from '../../server/store/database'
import { openDatabase } from '../../server/store/nodes'
import { migrate } from '../../server/store/migrate'
import { rebuildDerived } from '../../server/store/rebuild'
import { foundTestSchool, type School } from '../school'

const pool = openDatabase(process.env.FUSILIS_DB_URL!)
afterAll(() => pool.end())

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})

const save = (id: string, document: CouponDocument, baseVersion = 0, why = '') =>
  school.instructor.ask<SavedCoupon>('PUT', `/api/coupons/${id}`, { baseVersion, why, document })
const coupon = () => aCoupon({ studentId: school.mine.id })
const revisions = async (id: string) =>
  (await school.instructor.ask<CouponRevision[]>('GET', `/api/coupons/${id}/revisions`)).body

describe('saving', () => {
  it('keeps the document as it was sent', async () => {
    const id = uuid()
    const document = { ...putMark(coupon(), aFlaw()), notes: 'näher am Rand 🔥' }
    expect((await save(id, document)).status).toBe(200)
    expect((await school.student.ask<SavedCoupon>('GET', `/api/coupons/${id}`)).body).toMatchObject({
      id,
      version: 1,
      document,
      savedBy: 'tobias',
    })
  })

  it('the same save twice is one save', async () => {
    const id = uuid()
    const answers = [await save(id, coupon()), await save(id, coupon())]
    expect(answers.map(answer => answer.body.version)).toEqual([1, 1])
    expect(await revisions(id)).toEqual([])
  })

  it('ten of the same at once are one save', async () => {
    const id = uuid()
    const answers = await Promise.all(Array.from({ length: 10 }, () => save(id, coupon())))
    expect(answers.map(answer => [answer.status, answer.body.version])).toEqual(
      Array.from({ length: 10 }, () => [200, 1]),
    )
  })

  it('more at once than the server has connections are saved, none waiting for another', async () => {
    const ids = Array.from({ length: 40 }, () => uuid())
    const answers = await Promise.all(ids.map(id => save(id, coupon())))
    expect(answers.map(answer => answer.status)).toEqual(ids.map(() => 200))
  })

  it('work that would ask on another connection, within a transaction, is told so at once', async () => {
    const another = inTransaction(database(), () => rows(database(), 'SELECT 1'))
    await expect(another).rejects.toThrow('on its own connection')
    await expect(inTransaction(database(), on => rows(on, 'SELECT 1 AS one'))).resolves.toEqual([{ one: 1 }])
  })

  it('keeps the version before, who, when and why', async () => {
    const id = uuid()
    await save(id, coupon())
    const again = putMark(coupon(), aFlaw())
    expect((await save(id, again, 1, 'looked again after brushing')).body.version).toBe(2)
    expect(await revisions(id)).toMatchObject([
      { version: 1, document: coupon(), savedBy: 'tobias', why: 'looked again after brushing' },
    ])
  })

  it('refuses a save over a newer version, and hands over that version', async () => {
    const id = uuid()
    await save(id, coupon())
    await school.lead.ask('PUT', `/api/coupons/${id}`, {
      baseVersion: 1,
      why: 'mine',
      document: { ...coupon(), notes: 'theirs' },
    })
    const { status, body, type } = await school.instructor.ask<{ theirs: SavedCoupon; title: string }>(
      'PUT',
      `/api/coupons/${id}`,
      { baseVersion: 1, why: 'mine', document: { ...coupon(), notes: 'mine' } },
    )
    expect([status, type]).toEqual([409, 'application/problem+json'])
    expect(body.theirs).toMatchObject({ version: 2, savedBy: 'Maren Holt', document: { notes: 'theirs' } })
    expect((await school.lead.ask<SavedCoupon>('GET', `/api/coupons/${id}`)).body.version).toBe(2)
  })

  it.each([
    ['an unknown student', { studentId: '01900000-0000-7000-8000-00000000dead' }, 'document.studentId'],
    ['rules that are not', { rulesVersion: 99 }, 'document.rulesVersion'],
    ['a date in 1826', { classDay: '1826-01-01' }, 'document.classDay'],
    ['a novel of notes', { notes: 'n'.repeat(15_000) }, 'document.notes'],
    ['a mark off its bead', { marks: [aFlaw({ toMm: 999 })] }, 'document.marks[0].toMm'],
  ])('refuses %s at its field, and keeps nothing', async (_, change, path) => {
    const id = uuid()
    const { status, body } = await school.instructor.ask<{ errors: { path: string }[] }>('PUT', `/api/coupons/${id}`, {
      baseVersion: 0,
      why: '',
      document: { ...coupon(), ...change },
    })
    expect(status).toBe(422)
    expect(body.errors.map(error => error.path)).toContain(path)
    expect(await rows(pool, 'SELECT 1 FROM coupon WHERE id = ?', [id])).toEqual([])
  })

  it('refuses what is not JSON, and an id that is none', async () => {
    expect((await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, '{"half":')).status).toBe(400)
    expect(
      (await school.instructor.ask('PUT', '/api/coupons/seven', { baseVersion: 0, why: '', document: coupon() }))
        .status,
    ).toBe(422)
  })
})

describe('what is counted', () => {
  it('comes out the same when it is derived again from the documents', async () => {
    const random = seededRandom(11)
    for (let n = 0; n < 12; n++) await save(uuid(), weldCoupon(coupon(), drawLearner(random, null), n, random))
    const all = () =>
      Promise.all([
        rows(pool, 'SELECT * FROM evidence ORDER BY coupon_id, element'),
        rows(pool, 'SELECT * FROM flaw ORDER BY coupon_id, flaw'),
        rows(pool, 'SELECT id, verdict, score, next_run FROM coupon ORDER BY id'),
      ])
    const before = await all()
    expect(before[0].length).toBeGreaterThan(80)
    await rebuildDerived()
    expect(await all()).toEqual(before)
  })

  it('follows a coupon that is graded again', async () => {
    const id = uuid()
    await save(id, coupon())
    const spoilt = coupon()
      .marks.filter(mark => mark.kind === 'start')
      .reduce((doc, mark) => putMark(doc, { ...mark, degree: 'poor', fault: 'stuck' } as typeof mark), coupon())
    await save(id, spoilt, 1, 'chipped')
    expect(
      await rows(pool, 'SELECT tried, sound FROM evidence WHERE coupon_id = ? AND element = ?', [id, 'start']),
    ).toEqual([{ tried: 6, sound: 0 }])
    expect(await rows(pool, 'SELECT flaw, count FROM flaw WHERE coupon_id = ?', [id])).toEqual([
      { flaw: 'start: stuck', count: 6 },
    ])
  })

  it('adds up to the record, and the floor shows the newest', async () => {
    const { body: record } = await school.instructor.ask<StudentRecord>('GET', `/api/students/${school.mine.id}/record`)
    const [sum] = await rows<{ n: number; tried: number }>(
      pool,
      `SELECT COUNT(*) AS n, SUM(tried) AS tried FROM evidence WHERE student_id = ? AND element = 'start'`,
      [school.mine.id],
    )
    expect(record.coupons).toBe(sum!.n)
    expect(record.evidence.filter(row => row.element === 'start').reduce((total, row) => total + row.tried, 0)).toBe(
      sum!.tried,
    )
    const { body: floor } = await school.instructor.ask<FloorStudent[]>(
      'GET',
      `/api/sections/${school.section.id}/floor`,
    )
    expect(floor.find(student => student.id === school.mine.id)?.last).toMatchObject({
      classDay: '2026-10-05',
      beadCount: 6,
    })
  })

  it('pages through every coupon once, newest first, by filter', async () => {
    const seen: string[] = []
    let after = ''
    do {
      const { body } = await school.student.ask<CouponPage>(
        'GET',
        `/api/students/${school.mine.id}/coupons?position=1G&after=${encodeURIComponent(after)}`,
      )
      seen.push(...body.coupons.map(one => one.id))
      after = body.next ?? ''
    } while (after)
    const kept = await rows<{ id: string }>(
      pool,
      `SELECT id FROM coupon WHERE student_id = ? AND position = '1G' ORDER BY class_day DESC, id DESC`,
      [school.mine.id],
    )
    expect(seen).toEqual(kept.map(row => row.id))
    const none = await school.student.ask<CouponPage>('GET', `/api/students/${school.mine.id}/coupons?position=4G`)
    expect(none.body).toEqual({ coupons: [], next: null })
  })
})

it('two servers may bring the database up to date at once', async () => {
  expect(await Promise.all([migrate(pool), migrate(pool)])).toEqual([[], []])
})
