import { afterAll, beforeAll, expect, it } from 'vitest'
import { fillDemo } from '../../bin/tasks/demoSchool'
import { closeDatabase, database, openDatabase, rows } from '../../server/store/database'
import { migrate } from '../../server/store/migrate'
import { findRecord } from '../../server/store/records'
import { rebuildDerived } from '../../server/store/rebuild'
import { listFloor } from '../../server/store/students'
import { listSections } from '../../server/store/sections'

const home = process.env.FUSILIS_DB_URL!

beforeAll(async () => {
  const pool = openDatabase(home)
  await pool.query('CREATE DATABASE IF NOT EXISTS demo_school')
  await pool.end()
  process.env.FUSILIS_DB_URL = home.replace(/\/fusilis$/, '/demo_school')
  await migrate(database())
  await fillDemo(7, '2026-11-22')
}, 120_000)
afterAll(async () => {
  await closeDatabase()
  process.env.FUSILIS_DB_URL = home
})

it('puts the whole school into the database', async () => {
  const [counts] = await rows(database(), 'SELECT (SELECT COUNT(*) FROM section) AS sections, (SELECT COUNT(*) FROM student) AS students, (SELECT COUNT(*) FROM coupon) AS coupons')
  expect(counts).toEqual({ sections: 3, students: 36, coupons: 2520 })
})

it('is counted the same when it is derived again', async () => {
  const sums = () => rows(database(), 'SELECT position, rod_family, element, COUNT(*) AS n, SUM(tried) AS tried, SUM(sound) AS sound FROM evidence GROUP BY position, rod_family, element ORDER BY 1, 2, 3')
  const before = await sums()
  expect(await rebuildDerived()).toBe(2520)
  expect(await sums()).toEqual(before)
}, 120_000)

it('gives every student a last coupon and a record with days in order', async () => {
  for (const section of await listSections()) {
    const floor = await listFloor(section.id)
    expect(floor).toHaveLength(12)
    expect(floor.every(student => student.last !== null)).toBe(true)
    const record = (await findRecord(floor[0]!.id))!
    expect(record.coupons).toBe(70)
    const days = record.days.map(day => day.classDay)
    expect(days).toEqual([...days].sort())
    expect(record.flaws.length).toBeGreaterThan(0)
  }
})

it('is not put on top of a school that is there', async () => expect(fillDemo(7, '2026-11-22')).rejects.toThrow('There is a school'))
