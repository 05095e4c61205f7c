import { afterAll, beforeAll, expect, it } from 'vitest'
import { fillDemo } from '../../bin/tasks/demoSchool'
import { closeDatabase, database, rows } from '../../server/store/database'
import { honestyOf } from '../../core/welderTest'
import { openDatabase } from '../../server/store/nodes'
import { migrate } from '../../server/store/migrate'
import { findPicture } from '../../server/store/pictures'
import { findRecord } from '../../server/store/records'
import { rebuildDerived } from '../../server/store/rebuild'
import { listFloor } from '../../server/store/students'
import { listSections } from '../../server/store/sections'
import { testBay } from '../../server/store/welderTests'

const home = process.env.FUSILIS_DB_URL!

beforeAll(async () => {
  const pool = openDatabase(home)
  await pool.query('CREATE DATABASE IF NOT EXISTS demo_school')
  await pool.end()
  process.env.FUSILIS_DB_URL = home.replace(/\/fusilis$/, '/demo_school')
  await migrate(database())
  await fillDemo(7, '2026-11-22')
}, 300_000)
afterAll(async () => {
  await closeDatabase()
  process.env.FUSILIS_DB_URL = home
})

it('puts the whole school into the database', async () => {
  const [counts] = await rows(
    database(),
    `SELECT (SELECT COUNT(*) FROM section) AS sections, (SELECT COUNT(*) FROM student WHERE active) AS students,
      (SELECT COUNT(*) FROM student WHERE NOT active) AS former,
      (SELECT COUNT(*) FROM coupon WHERE NOT mock) AS coupons`,
  )
  expect(counts).toEqual({ sections: 5, students: 36, former: 72, coupons: 2520 })
})

it('has pictures of six pads, each of another student, whose files are there', async () => {
  const kept = await rows<{ id: string; student_id: string }>(
    database(),
    'SELECT CAST(coupon_picture.id AS CHAR(36)) AS id, CAST(student_id AS CHAR(36)) AS student_id FROM coupon_picture',
  )
  expect(new Set(kept.map(row => row.student_id)).size).toBe(6)
  const found = await Promise.all(kept.map(row => findPicture(row.id)))
  expect(found.filter(one => one?.bytes)).toHaveLength(6)
})

it('has tests passed and failed, to be read, to be bent and planned, and each test of this term has its coupon and its odds', async () => {
  const { tests, uses } = await testBay({ sectionIds: null })
  const states = new Set(tests.map(test => test.state))
  for (const state of ['passed', 'failed', 'for visual', 'for specimens', 'planned'] as const)
    expect(states, state).toContain(state)
  expect(
    tests.filter(test => test.odds !== null && (test.state === 'passed' || test.state === 'failed')).length,
  ).toBeGreaterThan(30)
  expect(tests.some(test => test.retest?.pieces === 2)).toBe(true)
  expect(new Set(tests.map(test => test.book.id))).toEqual(new Set(['structural', 'pressure', 'ISO']))
  expect(uses.map(use => use.kind).sort()).toEqual(['confirmed', 'used', 'used'])
})

it('has tests enough to tell whether its odds come true, of those who have left', async () => {
  const { tests } = await testBay({ sectionIds: null })
  const results = tests.map(test => ({ odds: test.odds, passed: test.state === 'passed', here: test.here }))
  const honesty = honestyOf(results.filter(test => !test.here))!
  expect(honesty.forecasts).toBeGreaterThan(250)
  expect(honesty.against).toBe('better')
})

it('is counted the same when it is derived again', async () => {
  const sums = () =>
    rows(
      database(),
      'SELECT position, rod_family, element, COUNT(*) AS n, SUM(tried) AS tried, SUM(sound) AS sound FROM evidence GROUP BY position, rod_family, element ORDER BY 1, 2, 3',
    )
  const [{ all }] = (await rows<{ all: number }>(database(), 'SELECT COUNT(*) AS `all` FROM coupon')) as [
    { all: number },
  ]
  const before = await sums()
  // Stopped between two batches, and gone on with from there.
  const stopped = new AbortController()
  const part = await rebuildDerived({ over: stopped.signal, told: () => stopped.abort() })
  expect(part).toMatchObject({ of: all, whole: false })
  expect(part.read).toBeGreaterThan(0)
  expect(part.read).toBeLessThan(all)
  const rest = await rebuildDerived({ after: part.last })
  expect(rest).toMatchObject({ read: all - part.read, of: all - part.read, whole: true })
  expect(await sums()).toEqual(before)
}, 300_000)

it('gives every student a last coupon and a record with days in order', async () => {
  const taught = (await listSections(null)).filter(section => section.students > 0)
  expect(taught).toHaveLength(3)
  for (const section of taught) {
    const floor = await listFloor(section.id)
    expect(floor).toHaveLength(12)
    expect(floor.every(student => student.last !== null)).toBe(true)
    const record = (await findRecord(floor[0]!.id))!
    expect(record.coupons).toBeGreaterThanOrEqual(70)
    const days = record.days.map(day => day.classDay)
    expect(days).toEqual([...days].sort())
    expect(record.flaws.length).toBeGreaterThan(0)
  }
})

it('is not put on top of a school that is there', async () =>
  expect(fillDemo(7, '2026-11-22')).rejects.toThrow('There is a school'))
