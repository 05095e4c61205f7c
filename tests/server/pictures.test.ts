import { execFile } from 'node:child_process'
import { mkdtemp, readdir, readFile, rm, utimes, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { promisify } from 'node:util'
import { generateIdentity, identityToRecipient } from 'age-encryption'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { MOST_PICTURES } from '../../core/picture'
import { aJpeg, withPlace } from '../../core/picture/exampleJpeg'
import type { Student } from '../../contract/people'
import type { PersonExport } from '../../contract/personData'
import type { CouponPicture, GaugedPicture, PictureBytes } from '../../contract/pictures'
import type { Problem } from '../../contract/problem'
import { backUpPictures, dropOldPictures, restorePictures } from '../../bin/pictures.mjs'
import { closeDatabase, database, rows, run } from '../../server/store/database'
import { forgetUnsavedPictures } from '../../server/store/pictures'
import { addClass, foundTestSchool, type School } from '../school'
import type { Visitor } from '../session'

const folder = process.env.FUSILIS_PICTURES!
const NAME = 'Ilsabet Quoyle'

let school: School

let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ student } = await addClass(school, 'Pictures Z', NAME))
})
afterAll(closeDatabase)

const base64 = (bytes: Uint8Array) => Buffer.from(bytes).toString('base64')
const LIES = {
  corners: [
    { x: 80, y: 60 },
    { x: 560, y: 70 },
    { x: 570, y: 420 },
    { x: 70, y: 410 },
  ],
  acrossMm: 101.6,
  quarter: null,
}
const aPicture = (couponId: string, more: object = {}) => ({
  couponId,
  studentId: student.id,
  side: 'face',
  state: 'slag off',
  widthPx: 640,
  heightPx: 480,
  lies: LIES,
  data: base64(aJpeg(640, 480)),
  ...more,
})
const put = (id: string, body: object, by = school.instructor) => by.ask<Problem>('PUT', `/api/pictures/${id}`, body)
const list = async (couponId: string, by = school.instructor) =>
  (await by.ask<CouponPicture[]>('GET', `/api/coupons/${couponId}/pictures`)).body
const filesOf = async (id = student.id) => (await readdir(`${folder}/${id}`).catch(() => [])).sort()

async function savedCoupon(of = student.id): Promise<string> {
  const id = uuid()
  const body = { baseVersion: 0, why: '', document: aCoupon({ studentId: of }) }
  expect((await school.instructor.ask('PUT', `/api/coupons/${id}`, body)).status).toBe(200)
  return id
}

describe('pictures to hold a reader’s widths against', () => {
  it('are those of chipped coupons that the person who asks read and gauged, and of no other reader', async () => {
    const read = async (of: 'width' | 'height', state: string, by = school.instructor) => {
      const [couponId, id] = [uuid(), uuid()]
      const coupon = aCoupon({ studentId: student.id })
      const mark = { id: uuid(), kind: 'reading', of, beadId: coupon.beads.at(-1)!.id, atMm: 70, valueMm: 3 }
      const body = { baseVersion: 0, why: '', document: { ...coupon, marks: [mark] } }
      expect((await by.ask('PUT', `/api/coupons/${couponId}`, body)).status).toBe(200)
      expect((await put(id, aPicture(couponId, { state }))).status).toBe(204)
      return id
    }
    const wanted = await read('width', 'slag off')
    await read('width', 'slag on')
    await read('height', 'slag off')
    const leads = await read('width', 'slag off', school.lead)
    const asked = async (by: Visitor) =>
      (await by.ask<GaugedPicture[]>('GET', '/api/pictures/gauged')).body.map(one => one.picture.id)
    expect(await asked(school.instructor)).toEqual([wanted])
    expect(await asked(school.lead)).toEqual([leads])
  })
})

describe('a coupon’s picture', () => {
  it('is kept as a file and a row, once however often it is sent, and comes back to the byte', async () => {
    const [id, couponId] = [uuid(), await savedCoupon()]
    for (let n = 0; n < 3; n++) expect((await put(id, aPicture(couponId))).status).toBe(204)
    expect(await list(couponId)).toMatchObject([{ id, couponId, side: 'face', lies: LIES, by: 'tobias' }])
    const { status, body } = await school.lead.ask<PictureBytes>('GET', `/api/pictures/${id}`)
    expect([status, body.data]).toEqual([200, base64(aJpeg(640, 480))])
    expect(await filesOf()).toHaveLength(1)
    const [row] = await rows(database(), 'SELECT * FROM coupon_picture WHERE id = ?', [id])
    expect(JSON.stringify(row)).not.toContain(base64(aJpeg(640, 480)).slice(0, 40))
  })

  it('of the largest that a house keeps is kept too', async () => {
    const [id, couponId] = [uuid(), await savedCoupon()]
    const data = base64(aJpeg(2400, 2400))
    expect(data.length).toBeGreaterThan(20_000)
    expect((await put(id, aPicture(couponId, { widthPx: 2400, heightPx: 2400, data }))).status).toBe(204)
    expect((await school.lead.ask<PictureBytes>('GET', `/api/pictures/${id}`)).body.data).toBe(data)
  })

  it('can come before its coupon, and where the coupon lies on it can be said later', async () => {
    const [id, couponId] = [uuid(), uuid()]
    expect((await put(id, aPicture(couponId, { lies: null }))).status).toBe(204)
    expect((await list(couponId))[0]!.lies).toBeNull()
    expect((await put(id, aPicture(couponId, { state: 'slag on' }))).status).toBe(204)
    expect(await list(couponId)).toMatchObject([{ id, state: 'slag on', lies: LIES }])
    const body = { baseVersion: 0, why: '', document: aCoupon({ studentId: student.id }) }
    expect((await school.instructor.ask('PUT', `/api/coupons/${couponId}`, body)).status).toBe(200)
    expect(await list(couponId)).toHaveLength(1)
  })

  it('of a coupon that was never saved is forgotten after a month, and no other', async () => {
    const [never, saved] = [uuid(), await savedCoupon()]
    const ids = [uuid(), uuid()]
    await put(ids[0]!, aPicture(never, { data: base64(aJpeg(648, 480)), widthPx: 648 }))
    await put(ids[1]!, aPicture(saved))
    const inDays = (days: number) => new Date(Date.now() + days * 86_400_000)
    await forgetUnsavedPictures(inDays(29))
    expect(await list(never)).toHaveLength(1)
    const before = await filesOf()
    expect(await forgetUnsavedPictures(inDays(31))).toBe(1)
    expect([await list(never), (await list(saved)).length]).toEqual([[], 1])
    expect(await filesOf()).toHaveLength(before.length - 1)
  })

  it('is erased with its file; one of the same bytes stays', async () => {
    const couponId = await savedCoupon()
    const [first, second] = [uuid(), uuid()]
    const same = { data: base64(aJpeg(656, 480)), widthPx: 656 }
    await put(first, aPicture(couponId, same))
    await put(second, aPicture(couponId, { ...same, state: 'slag on' }))
    const before = await filesOf()
    const erase = (id: string) => school.instructor.ask('DELETE', `/api/pictures/${id}`)
    expect((await erase(first)).status).toBe(204)
    expect(await filesOf()).toEqual(before)
    expect((await school.lead.ask('GET', `/api/pictures/${second}`)).status).toBe(200)
    expect((await erase(second)).status).toBe(204)
    expect(await filesOf()).toHaveLength(before.length - 1)
    expect((await erase(second)).status).toBe(204)
    expect((await school.lead.ask('GET', `/api/pictures/${second}`)).status).toBe(404)
  })

  it('whose file is lost or was changed is said to be lost, and is not shown', async () => {
    const [id, couponId] = [uuid(), await savedCoupon()]
    await put(id, aPicture(couponId, { data: base64(aJpeg(664, 480)), widthPx: 664 }))
    const [row] = await rows<{ digest: string }>(database(), 'SELECT digest FROM coupon_picture WHERE id = ?', [id])
    await writeFile(`${folder}/${student.id}/${row!.digest}.jpg`, aJpeg(300, 300))
    const { status, body } = await school.lead.ask<Problem>('GET', `/api/pictures/${id}`)
    expect([status, body.detail]).toEqual([410, 'The file of this picture is lost. A backup may still hold it.'])
  })
})

describe('a picture that cannot be kept is refused at its field, and nothing of it stays', () => {
  const text = base64(Buffer.from('Roster of the evening section'))
  it.each([
    ['data', { data: base64(withPlace(aJpeg(640, 480))) }, 'where or with what it was taken'],
    ['data', { data: base64(Buffer.concat([aJpeg(640, 480), Buffer.from('a film')])) }, 'where or with what'],
    ['data', { data: text }, 'not a picture'],
    ['data', { data: 'not base64!' }, 'base64'],
    ['data', { data: '' }, 'missing'],
    ['data', { data: base64(aJpeg(640, 480).slice(0, -2)) }, 'before its end'],
    ['data', { data: base64(aJpeg(200, 900)), widthPx: 200, heightPx: 900, lies: null }, 'too small'],
    ['widthPx', { widthPx: 600, lies: null }, '640 by 480'],
    ['widthPx', { widthPx: 20_000, lies: null }, 'at most 2400'],
    ['lies.corners', { lies: { ...LIES, corners: LIES.corners.map(({ x, y }) => ({ x: x * 3, y })) } }, 'outside'],
    ['lies.corners', { lies: { ...LIES, corners: LIES.corners.slice(0, 3) } }, ''],
    ['lies.corners', { lies: { ...LIES, corners: [0, 2, 1, 3].map(n => LIES.corners[n]) } }, 'cross'],
    ['lies.acrossMm', { lies: { ...LIES, acrossMm: 2 } }, 'at least 10'],
    ['lies.quarter', { lies: { ...LIES, quarter: 4 } }, '0, 1, 2 or 3'],
    ['side', { side: 'edge' }, 'face, root'],
    ['state', { state: 'hot' }, 'slag on, slag off'],
    ['studentId', { studentId: uuid() }, 'no such student'],
  ])('%s', async (path, more, says) => {
    const [id, couponId] = [uuid(), uuid()]
    const before = await filesOf()
    const { status, body } = await put(id, aPicture(couponId, more))
    expect([status, body.errors?.[0]?.path?.startsWith(path)]).toEqual([422, true])
    expect(body.errors![0]!.message).toContain(says)
    expect(await list(couponId)).toEqual([])
    expect(await filesOf()).toEqual(before)
  })

  it('another under its id, one of another student’s coupon, and the thirteenth of a coupon', async () => {
    const [id, couponId] = [uuid(), await savedCoupon()]
    await put(id, aPicture(couponId))
    const other = { data: base64(aJpeg(672, 480)), widthPx: 672 }
    const path = async (answer: Promise<{ status: number; body: Problem }>) => {
      const { status, body } = await answer
      return [status, body.errors?.[0]?.path]
    }
    expect(await path(put(id, aPicture(couponId, other)))).toEqual([422, 'data'])
    expect(await path(put(id, aPicture(await savedCoupon())))).toEqual([422, 'data'])
    expect(await path(put(uuid(), aPicture(await savedCoupon(school.mine.id))))).toEqual([422, 'couponId'])
    for (let n = 1; n < MOST_PICTURES; n++) expect((await put(uuid(), aPicture(couponId))).status).toBe(204)
    expect(await path(put(uuid(), aPicture(couponId)))).toEqual([422, 'couponId'])
    expect(await list(couponId)).toHaveLength(MOST_PICTURES)
  })

  it('more than a picture has is not read to its end', async () => {
    const { status } = await put(uuid(), aPicture(uuid(), { data: 'A'.repeat(5 * 1024 * 1024) }))
    expect(status).toBe(413)
  })
})

describe('who sees a picture', () => {
  it('is staff, and the student whose coupon it is; who teaches another section does not', async () => {
    const [id, couponId] = [uuid(), await savedCoupon(school.mine.id)]
    expect((await put(id, aPicture(couponId, { studentId: school.mine.id }))).status).toBe(204)
    expect((await school.student.ask('GET', `/api/pictures/${id}`)).status).toBe(200)
    expect(await list(couponId, school.student)).toHaveLength(1)
    const [others, theirs] = [uuid(), await savedCoupon()]
    await put(others, aPicture(theirs))
    expect((await school.student.ask('GET', `/api/pictures/${others}`)).status).toBe(403)
    expect((await school.student.ask('GET', `/api/coupons/${theirs}/pictures`)).status).toBe(403)
    expect((await put(uuid(), aPicture(theirs), school.student)).status).toBe(403)
    expect((await school.student.ask('DELETE', `/api/pictures/${id}`)).status).toBe(403)
  })
})

describe('pictures beside a backup', () => {
  it('are copied once, sealed where a key is set, and come back where a record names them', async () => {
    const beside = await mkdtemp(`${tmpdir()}/fusilis-pictures-`)
    try {
      const names = (await filesOf()).map(file => `${student.id}/${file}`)
      const all = await backUpPictures(folder, beside)
      expect(all).toBeGreaterThanOrEqual(names.length)
      const elsewhere = `${beside}/elsewhere`
      const missing = `${student.id}/${'0'.repeat(64)}.jpg`
      expect(await restorePictures(beside, elsewhere, [...names, missing])).toEqual({ back: names.length, lost: 1 })
      expect(await readFile(`${elsewhere}/${names[0]}`)).toEqual(await readFile(`${folder}/${names[0]}`))
      expect(await restorePictures(beside, elsewhere, names)).toEqual({ back: 0, lost: 0 })

      const identity = await generateIdentity()
      const keyFile = `${beside}/key`
      await writeFile(keyFile, identity)
      process.env.FUSILIS_BACKUP_KEY = await identityToRecipient(identity)
      process.env.FUSILIS_BACKUP_KEY_FILE = keyFile
      const sealed = `${beside}/sealed`
      await backUpPictures(folder, sealed)
      expect((await readdir(`${sealed}/${student.id}`)).every(name => name.endsWith('.jpg.age'))).toBe(true)
      const opened = `${beside}/opened`
      expect((await restorePictures(sealed, opened, names)).back).toBe(names.length)
      expect(await readFile(`${opened}/${names[0]}`)).toEqual(await readFile(`${folder}/${names[0]}`))
    } finally {
      delete process.env.FUSILIS_BACKUP_KEY
      delete process.env.FUSILIS_BACKUP_KEY_FILE
      await rm(beside, { recursive: true, force: true })
    }
  })

  it('go when no backup of the days that are kept held them', async () => {
    const beside = await mkdtemp(`${tmpdir()}/fusilis-pictures-`)
    await backUpPictures(folder, beside)
    const [old, ...rest] = await readdir(`${beside}/${student.id}`)
    const ago = new Date(Date.now() - 70 * 86_400_000)
    await utimes(`${beside}/${student.id}/${old}`, ago, ago)
    await dropOldPictures(beside, 60)
    expect(await readdir(`${beside}/${student.id}`)).toEqual(rest)
    // One that the school still has is as new as its last backup.
    await utimes(`${beside}/${student.id}/${rest[0]}`, ago, ago)
    await backUpPictures(folder, beside)
    await dropOldPictures(beside, 60)
    expect(await readdir(`${beside}/${student.id}`)).toContain(rest[0])
    await rm(beside, { recursive: true, force: true })
  })

  it('are written by the command, and brought back by the other', async () => {
    const dir = await mkdtemp(`${tmpdir()}/fusilis-pictures-`)
    const file = `${dir}/all.sql.gz`
    const home = process.env.FUSILIS_DB_URL!
    const elsewhere = home.replace(/\/fusilis$/, '/pictures_elsewhere')
    await database().query('DROP DATABASE IF EXISTS pictures_elsewhere')
    await database().query('CREATE DATABASE pictures_elsewhere')
    const command = (name: string, url: string, pictures: string) =>
      promisify(execFile)(process.execPath, [`bin/${name}.mjs`, file], {
        env: { ...process.env, FUSILIS_DB_URL: url, FUSILIS_PICTURES: pictures },
      })
    const [one] = await rows<{ n: number }>(
      database(),
      'SELECT COUNT(DISTINCT student_id, digest) AS n FROM coupon_picture',
    )
    expect((await command('backup', home, folder)).stdout).toContain(' pictures beside it')
    const { stdout } = await command('restore', elsewhere, `${dir}/restored`)
    expect(stdout).toContain(`  ${one!.n} of ${one!.n} pictures came back`)
    expect((await readdir(`${dir}/restored/${student.id}`)).length).toBeGreaterThan(0)
    await run(database(), 'DROP DATABASE pictures_elsewhere')
    await rm(dir, { recursive: true, force: true })
  })
})

describe('a person’s pictures', () => {
  it('go out with all that is kept of the person, and are erased with the person, files too', async () => {
    const { body } = await school.lead.ask<PersonExport>('GET', `/api/students/${student.id}/export`)
    expect(body.pictures.length).toBeGreaterThan(2)
    expect(body.pictures[0]!.data).toBe(base64(aJpeg(640, 480)))
    expect((await filesOf()).length).toBeGreaterThan(0)
    const erased = await school.lead.ask('POST', `/api/students/${student.id}/erase`, { name: NAME, why: 'asked' })
    expect(erased.status).toBe(204)
    expect(await filesOf()).toEqual([])
    expect(await rows(database(), 'SELECT 1 FROM coupon_picture WHERE student_id = ?', [student.id])).toEqual([])
    expect((await put(uuid(), aPicture(uuid()))).status).toBe(422)
  })
})
