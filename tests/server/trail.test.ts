import { readdir, readFile } from 'node:fs/promises'
import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { TrailLine, TrailPage } from '../../contract/trail'
import { aCoupon } from '../../core/coupon/example'
import { foundTestSchool, type School } from '../school'
import { Visitor } from '../session'

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})
const trail = async (query = '') => (await school.lead.ask<TrailPage>('GET', `/api/trail${query}`)).body
const newest = async (query = ''): Promise<TrailLine> => (await trail(query)).lines[0]!

describe('the trail', () => {
  it('has a line for whatever changes something: every such route says what it did', async () => {
    const files = await readdir('server/api', { recursive: true })
    const changing = files.filter(file => /\.(put|post|delete|patch)\.ts$/.test(file))
    expect(changing.length).toBeGreaterThan(25)
    const silent: string[] = []
    for (const file of changing) {
      const source = await readFile(`server/api/${file}`, 'utf8')
      if (!/\bdid: '[a-z][^']{3,58}'/.test(source)) silent.push(file)
    }
    expect(silent).toEqual([])
  })

  it('says who saved whose coupon, and who looked at whose record', async () => {
    const id = uuid()
    const document = aCoupon({ studentId: school.mine.id })
    await school.instructor.ask('PUT', `/api/coupons/${id}`, { baseVersion: 0, why: '', document })
    const mine = { id: school.mine.id, name: 'Oriel Tamsin' }
    expect(await newest()).toMatchObject({ who: 'tobias', did: 'saved a coupon', student: mine })
    await school.student.ask('GET', `/api/students/${school.mine.id}/record`)
    expect(await newest()).toMatchObject({ who: 'oriel', did: 'looked at the record', student: mine })
    await school.lead.ask('GET', `/api/coupons/${id}`)
    expect(await newest()).toMatchObject({ who: 'Maren Holt', did: 'opened a coupon', student: mine })
  })

  it('says once in a while that somebody looked into a record, by whichever of its parts', async () => {
    const looks = async () =>
      (await trail(`?student=${school.other.id}`)).lines.filter(line => line.did === 'looked into the record').length
    const parts = ['progress', 'pace', 'hours', 'tests', 'blind-readings', 'coupons']
    const before = await looks()
    for (const part of parts) await school.instructor.ask('GET', `/api/students/${school.other.id}/${part}`)
    expect(await looks()).toBe(before + 1)
    // A student who looks at the own record is no line.
    for (const part of parts) await school.student.ask('GET', `/api/students/${school.mine.id}/${part}`)
    const own = (await trail(`?student=${school.mine.id}`)).lines
    expect(own.some(line => line.who === 'oriel' && line.did === 'looked into the record')).toBe(false)
  })

  it('has no line for what was refused', async () => {
    const before = await newest()
    expect((await school.student.ask('GET', `/api/students/${school.other.id}/record`)).status).toBe(403)
    expect((await school.instructor.ask('PUT', '/api/school', { name: 'Ours' })).status).toBeGreaterThanOrEqual(400)
    expect(await newest()).toEqual(before)
  })

  it('knows who signed in and who signed out', async () => {
    const tobias = await new Visitor().signIn('tobias')
    expect(await newest()).toMatchObject({ who: 'tobias', did: 'signed in', student: null })
    await tobias.ask('DELETE', '/api/session')
    expect(await newest()).toMatchObject({ who: 'tobias', did: 'signed out' })
  })

  it('is read by page, by student and by account', async () => {
    const of = await trail(`?student=${school.mine.id}`)
    expect(of.lines.length).toBeGreaterThan(1)
    expect(of.lines.every(line => line.student?.id === school.mine.id)).toBe(true)
    const { lines } = await trail()
    const later = await trail(`?before=${lines[3]!.id}`)
    expect(later.lines[0]!.id).toBeLessThan(lines[3]!.id)
    expect(lines.map(line => line.id)).toEqual([...lines.map(line => line.id)].sort((a, b) => b - a))
  })

  it('is a lead’s to read, and nobody’s to change', async () => {
    expect((await school.instructor.ask('GET', '/api/trail')).status).toBe(403)
    expect((await school.student.ask('GET', '/api/trail')).status).toBe(403)
    expect((await new Visitor().ask('GET', '/api/trail')).status).toBe(401)
    for (const method of ['PUT', 'POST', 'DELETE'])
      expect((await school.lead.ask(method, '/api/trail', {})).status).toBeGreaterThanOrEqual(404)
  })
})
