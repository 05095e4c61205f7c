import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aFlaw } from '../../core/coupon/example'
import { DEFAULT_HOUSE_RULES as rules } from '../../core/house'
import { bookLines, STRUCTURAL, withLine, type CodeBook } from '../../core/qualification'
import { testCoupon, type WelderTest } from '../../core/welderTest'
import { aTest } from '../../core/welderTest/example'
import type { SavedBook } from '../../contract/codeBooks'
import type { CouponRevision, SavedCoupon } from '../../contract/coupon'
import type { StudentProgress } from '../../contract/progress'
import type { SavedWelderTest, TestBay } from '../../contract/welderTests'
import { addClass, foundTestSchool, type School } from '../school'

let school: School
let student: string
beforeAll(async () => {
  school = await foundTestSchool()
  student = (await addClass(school, 'Evening V3 tests', 'Bram Oakes')).student.id
})

type Refused = { errors: { path: string; message: string }[] }
const put = (id: string, document: WelderTest, baseVersion = 0) =>
  school.instructor.ask<SavedWelderTest & Refused>('PUT', `/api/tests/${id}`, { baseVersion, document })
const seen = { by: 'MH', at: '2026-11-02T18:00:00.000Z' }
const planned = (more: Partial<WelderTest> = {}): WelderTest => ({ ...aTest(student), couponId: uuid(), ...more })
const started = (): WelderTest =>
  planned({
    stamp: 'BO 1',
    checks: {
      'whole rods, in date': true,
      'piece stamped': true,
      'fit-up within limits': true,
      'position fixed': true,
    },
    holds: { 'fit-up': seen, 'root': null, 'cap': null },
    startedAt: seen.at,
  })
const bent = (length = 0) => ({
  ...seen,
  openings: length > 0 ? [{ length, atMm: 5, corner: false, kind: 'slag' as const, depth: null }] : [],
  byHand: null,
  note: '',
})
const welded = (test = started()): WelderTest => ({
  ...test,
  holds: { 'fit-up': seen, 'root': seen, 'cap': seen },
  endedAt: '2026-11-02T19:00:00.000Z',
  visual: { ...seen, computed: 'passes', outcome: 'passes', failed: [], why: '' },
})

describe('a test', () => {
  it('is kept whole from plan to result, and listed where it stands', async () => {
    const id = uuid()
    const document = planned()
    expect((await put(id, document)).body).toMatchObject({ version: 1, student: 'Bram Oakes' })
    expect((await put(id, document)).body.version).toBe(1)
    const begun = { ...started(), couponId: document.couponId }
    expect((await put(id, begun, 1)).body.version).toBe(2)
    expect((await put(id, { ...begun, notes: 'late' }, 1)).status).toBe(409)
    expect((await put(id, { ...welded(begun), results: { 'face-1': bent(), 'root-2': bent() } }, 2)).body.version).toBe(
      3,
    )
    const mine = (await school.lead.ask<TestBay>('GET', `/api/students/${student}/tests`)).body.tests.find(
      test => test.id === id,
    )
    expect(mine).toMatchObject({
      state: 'passed',
      book: { id: 'structural', version: 0 },
      position: '3G',
      classification: 'E7018',
      processes: ['SMAW'],
      odds: 0.7,
      retest: null,
      bent: 2,
      opened: 0,
    })
    expect((await school.student.ask('GET', `/api/tests/${id}`)).status).toBe(403)
    expect((await school.student.ask('GET', `/api/students/${student}/tests`)).status).toBe(403)
  })

  it('ten first saves at once are one save', async () => {
    const id = uuid()
    const document = planned()
    const answers = await Promise.all(Array.from({ length: 10 }, () => put(id, document)))
    expect(answers.map(({ status, body }) => [status, body.version])).toEqual(
      Array.from({ length: 10 }, () => [200, 1]),
    )
  })

  it('of several who save it at once over the same version, one gets it; the same sent twice is one', async () => {
    const id = uuid()
    const document = planned()
    await put(id, document)
    const answers = await Promise.all(
      Array.from({ length: 6 }, (_, n) => put(id, { ...document, notes: `by ${n}` }, 1)),
    )
    expect(answers.map(answer => answer.status).sort()).toEqual([200, 409, 409, 409, 409, 409])
    const refused = answers.find(answer => answer.status === 409)!.body as unknown as { theirs: SavedWelderTest }
    expect(refused.theirs).toMatchObject({ id, version: 2 })
    const won = answers.find(answer => answer.status === 200)!.body
    const again = await Promise.all([put(id, won.document, 1), put(id, won.document, 1)])
    expect(again.map(({ status, body }) => [status, body.version])).toEqual([
      [200, 2],
      [200, 2],
    ])
    expect((await school.lead.ask<SavedWelderTest>('GET', `/api/tests/${id}`)).body).toMatchObject({
      version: 2,
      document: { notes: won.document.notes },
    })
  })

  it('what the criteria say of the coupon is computed here, whatever the page sent', async () => {
    const id = uuid()
    const document = planned()
    const cracked = testCoupon(document, rules, () => '18:00')
    const bead = cracked.beads.at(-1)!
    const crack = { ...aFlaw({ flaw: 'crack', side: null, beadId: bead.id, atMm: 30, toMm: 60 }), id: 'crack' }
    const saved = await school.instructor.ask('PUT', `/api/coupons/${document.couponId}`, {
      baseVersion: 0,
      why: '',
      document: { ...cracked, marks: [...cracked.marks, crack] },
    })
    expect(saved.status).toBe(200)
    await put(id, { ...started(), couponId: document.couponId })
    const sent = { ...welded(), couponId: document.couponId }
    const { body } = await put(id, { ...sent, visual: { ...sent.visual!, outcome: 'fails', why: 'cracked' } }, 1)
    expect(body.document.visual).toMatchObject({ computed: 'fails', outcome: 'fails', why: 'cracked' })
    expect(body.document.visual!.failed[0]).toMatch(/^Cracks/)
    expect(body.document.visual!.failedOn).toEqual(['face'])
    expect((await put(id, body.document, 1)).body.version).toBe(2)
  })

  it('what its bends lay open and its results are kept together or not at all', async () => {
    const id = uuid()
    const document = welded()
    const coupon = testCoupon(document, rules, moment => moment.slice(11, 16))
    await school.instructor.ask('PUT', `/api/coupons/${document.couponId}`, {
      baseVersion: 0,
      why: '',
      document: coupon,
    })
    await put(id, document)
    const opened = (notes: string) =>
      put(id, { ...document, notes, results: { 'face-1': bent(0.2), 'root-2': bent() } }, 1)
    const answers = await Promise.all([opened('one'), opened('two'), opened('three')])
    expect(answers.filter(answer => answer.status === 200)).toHaveLength(1)
    const after = (await school.lead.ask<SavedCoupon>('GET', `/api/coupons/${document.couponId}`)).body
    expect([after.version, after.document.marks.filter(mark => mark.kind === 'flaw').length]).toEqual([2, 1])
  })

  it.each([
    ['a bend before the visual', { results: { 'face-1': bent() } }, 'document.results.face-1', /after a visual/],
    [
      'a result on an unwitnessed test',
      { visual: welded(planned()).visual },
      'document.visual',
      /witnessed and welded out/,
    ],
    ['a start with nobody’s initials', { startedAt: seen.at }, 'document.checks', /checklist/],
    [
      'a fillet position on a groove',
      { test: { ...aTest().test, position: '3F' as const } },
      'document.test.position',
      /position of fillets/,
    ],
    [
      'an opening of no length',
      {
        results: {
          'face-1': {
            ...bent(),
            openings: [{ length: 0, atMm: 1, corner: false, kind: 'slag' as const, depth: null }],
          },
        },
      },
      'document.results.face-1',
      /over nothing/,
    ],
    ['a stamp too long', { stamp: 'x'.repeat(30) }, 'document.stamp', /at most 20/],
    [
      'a book that nobody kept',
      { book: { id: uuid(), version: 3 } },
      'document.book',
      /no version 3 of this code book/,
    ],
    ['a version of a shipped book', { book: { id: 'structural', version: 7 } }, 'document.book', /no version 7/],
    ['an impossible wall', { test: { ...aTest().test, thicknessMm: 0 } }, 'document.test.thicknessMm', /over nothing/],
    ['a student who is none', { studentId: uuid() }, 'document.studentId', /no such student/],
    [
      'a book that has no such test',
      { book: { id: 'pipeline', version: 0 } },
      'document.test.position',
      /API 1104 has no 3G/,
    ],
  ] as const)('refuses %s, and keeps nothing', async (_, change, path, message) => {
    const id = uuid()
    const { status, body } = await put(id, planned(change as Partial<WelderTest>))
    expect(status, JSON.stringify(body)).toBe(422)
    expect(body.errors.find(error => error.path === path)?.message, JSON.stringify(body.errors)).toMatch(message)
    expect((await school.lead.ask('GET', `/api/tests/${id}`)).status).toBe(404)
  })

  it('marks what its bends laid open on its coupon, and the student’s record and odds know of it', async () => {
    const id = uuid()
    const document = welded()
    const coupon = testCoupon(document, rules, moment => moment.slice(11, 16))
    expect(
      (
        await school.instructor.ask('PUT', `/api/coupons/${document.couponId}`, {
          baseVersion: 0,
          why: '',
          document: coupon,
        })
      ).status,
    ).toBe(200)
    const before = (await school.lead.ask<StudentProgress>('GET', `/api/students/${student}/progress`)).body.bends
    await put(id, { ...document, results: { 'face-1': bent(), 'root-2': bent(0.2) } })
    const after = (await school.lead.ask<SavedCoupon>('GET', `/api/coupons/${document.couponId}`)).body
    expect(after.document.marks.filter(mark => mark.kind === 'flaw')).toMatchObject([
      { flaw: 'slag', found: 'bend', beadId: 'p1' },
    ])
    expect(
      (await school.lead.ask<CouponRevision[]>('GET', `/api/coupons/${document.couponId}/revisions`)).body,
    ).toMatchObject([{ why: 'what the bends of its test laid open' }])
    expect((await school.lead.ask<StudentProgress>('GET', `/api/students/${student}/progress`)).body.bends).toEqual({
      bent: before.bent + 2,
      opened: before.opened + 1,
    })
    expect((await put(id, { ...document, results: { 'face-1': bent() } }, 1)).status).toBe(200)
    expect(
      (await school.lead.ask<SavedCoupon>('GET', `/api/coupons/${document.couponId}`)).body.document.marks.some(
        mark => mark.kind === 'flaw',
      ),
    ).toBe(false)
  })

  it('what came of it moves the odds of the next, and what was said on the day stands', async () => {
    const progress = async () =>
      (await school.lead.ask<StudentProgress>('GET', `/api/students/${student}/progress`)).body.school
    const before = await progress()
    const said = { visual: 0.8, bends: 0.9, byCoupons: { visual: 0.75, bends: 0.9 }, low: 0.5, high: 0.9 }
    const id = uuid()
    const document = { ...welded(), said, odds: 0.72 }
    await put(id, { ...document, results: { 'face-1': bent(), 'root-2': bent() } })
    await put(uuid(), {
      ...welded(),
      said,
      odds: 0.72,
      visual: { ...seen, computed: 'passes', outcome: 'fails', failed: [], why: 'a crack in the crater' },
    })
    const after = await progress()
    // Planned before face and root were told apart: what was seen of it counts as the face.
    expect(after.recalibration.face.tests).toBe(before.recalibration.face.tests + 2)
    expect(after.recalibration.root.tests).toBe(before.recalibration.root.tests)
    // Only a piece that passed by eye is bent.
    expect(after.recalibration.bends.tests).toBe(before.recalibration.bends.tests + 1)
    expect(after.recalibration.face.groups).toContainEqual({
      of: 'piece',
      id: '3G plate, 3/8 in, backing',
    })
    expect(after.before.reduce((sum, band) => sum + band.count, 0)).toBe(
      before.before.reduce((sum, band) => sum + band.count, 0) + 2,
    )
    expect((await school.lead.ask<SavedWelderTest>('GET', `/api/tests/${id}`)).body.document.said).toEqual(said)
    // One planned before the two were told apart is still saved: what was told stands for what its coupons said.
    const { byCoupons: _, ...told } = said
    expect((await put(uuid(), { ...planned(), said: told })).status).toBe(200)
    expect((await put(uuid(), { ...planned(), said: { ...said, visual: 1.2 } } as WelderTest)).body.errors).toEqual([
      { path: 'document.said.visual', message: 'visual is at most 1' },
    ])
  })

  it('face and root are held each against what was said of it, where they were told apart', async () => {
    const recalibration = async () =>
      (await school.lead.ask<StudentProgress>('GET', `/api/students/${student}/progress`)).body.school.recalibration
    const before = await recalibration()
    const byCoupons = { visual: 0.6, face: 0.8, root: 0.7, bends: 0.9 }
    const said = { visual: 0.6, bends: 0.9, byCoupons, low: 0.4, high: 0.8 }
    const test = { ...welded(), said, odds: 0.54 }
    expect((await put(uuid(), { ...test, results: { 'face-1': bent(), 'root-2': bent() } })).status).toBe(200)
    // Failed by a person, with no line of the criteria: nobody knows on which side, and it counts as before.
    const failed = { ...seen, computed: 'passes', outcome: 'fails', failed: [], why: 'burnt' } as const
    expect((await put(uuid(), { ...test, visual: failed })).status).toBe(200)
    // Backed: there is no root to see.
    const backed = { ...test, said: { ...said, byCoupons: { ...byCoupons, root: 1 } } }
    expect((await put(uuid(), { ...backed, results: { 'face-1': bent(), 'root-2': bent() } })).status).toBe(200)
    const after = await recalibration()
    expect([after.face.tests - before.face.tests, after.root.tests - before.root.tests]).toEqual([3, 1])
    const odd = { ...test, said: { ...said, byCoupons: { ...byCoupons, root: 1.2 } } }
    expect((await put(uuid(), odd as WelderTest)).body.errors).toEqual([
      { path: 'document.said.byCoupons.root', message: 'root is at most 1' },
    ])
  })

  it('is called off while it is only planned', async () => {
    const [plan, begun] = [uuid(), uuid()]
    await put(plan, planned())
    await put(begun, started())
    const callOff = (id: string, baseVersion = 1, by = school.instructor) =>
      by.ask('POST', `/api/tests/${id}/call-off`, { baseVersion })
    expect((await callOff(plan, 1, school.student)).status).toBe(403)
    expect((await callOff(plan, 2)).status).toBe(409)
    expect((await callOff(plan)).status).toBe(204)
    expect((await callOff(plan)).status).toBe(404)
    expect((await callOff(begun)).status).toBe(409)
  })
})

describe('a school’s own code book', () => {
  const save = (id: string, book: CodeBook, baseVersion = 0, by = school.lead) =>
    by.ask<SavedBook & Refused>('PUT', `/api/code-books/${id}`, {
      baseVersion,
      why: 'read in our copy',
      retired: false,
      book,
    })
  const own = (book: CodeBook = STRUCTURAL): CodeBook => ({ ...book, name: 'AWS D1.1, ours' })
  it('is kept in versions, and a test is judged by the version it names', async () => {
    const id = uuid()
    const stricter = withLine(
      own(),
      bookLines(STRUCTURAL).find(line => line.path === 'bend.single')!,
      { is: 'size', in: 1 / 16, mm: 1.5 },
    )
    expect((await save(id, own())).body).toMatchObject({ version: 1, savedBy: 'Maren Holt', book: { id } })
    expect((await save(id, stricter)).status).toBe(409)
    expect((await save(id, stricter, 1)).body.version).toBe(2)
    expect(
      (await school.instructor.ask<SavedBook[]>('GET', '/api/code-books')).body
        .filter(one => one.book.id === id)
        .map(one => one.version),
    ).toEqual([2, 1])
    for (const [version, state] of [
      [1, 'passed'],
      [2, 'failed'],
    ] as const) {
      const test = uuid()
      expect(
        (await put(test, { ...welded(), book: { id, version }, results: { 'face-1': bent(0.1), 'root-2': bent() } }))
          .status,
      ).toBe(200)
      expect(
        (await school.lead.ask<TestBay>('GET', '/api/tests')).body.tests.find(one => one.id === test),
      ).toMatchObject({ state })
    }
  })
  it.each([
    ['other lines', { ...STRUCTURAL, strips: [] }, 'book', /no copy of AWS D1.1/],
    [
      'a figure that cannot be',
      { ...STRUCTURAL, continuity: { ...STRUCTURAL.continuity, months: 0 } },
      'book.continuity.months',
      /over 0/,
    ],
    ['no name', { ...STRUCTURAL, name: '' }, 'book.name', /short text/],
    ['no family', { name: 'x' }, 'book', /no family/],
    ['criteria that are none', { ...STRUCTURAL, criteriaId: 'moon' }, 'book.criteriaId', /no set of criteria/],
  ] as const)('is refused with %s', async (_, book, path, message) => {
    const { status, body } = await save(uuid(), book as CodeBook)
    expect(status).toBe(422)
    expect(body.errors.find(error => error.path === path)?.message, JSON.stringify(body.errors)).toMatch(message)
  })
  it('is for a lead to change; shipped ones have no such address', async () => {
    expect((await save(uuid(), own(), 0, school.instructor)).status).toBe(403)
    expect(
      (
        await school.lead.ask('PUT', '/api/code-books/structural', {
          baseVersion: 0,
          why: 'x',
          retired: false,
          book: own(),
        })
      ).status,
    ).toBe(404)
  })
})

it('a use of a process is noted once, with its witness', async () => {
  const id = uuid()
  const use = { studentId: student, process: 'SMAW', kind: 'used', usedOn: '2026-11-20', witness: 'Tobias' }
  expect((await school.instructor.ask('PUT', `/api/process-uses/${id}`, use)).status).toBe(204)
  expect((await school.instructor.ask('PUT', `/api/process-uses/${id}`, use)).status).toBe(204)
  expect(
    (await school.instructor.ask<Refused>('PUT', `/api/process-uses/${uuid()}`, { ...use, witness: ' ' })).body
      .errors[0],
  ).toMatchObject({ path: 'witness' })
  expect(
    (await school.instructor.ask<Refused>('PUT', `/api/process-uses/${uuid()}`, { ...use, usedOn: '2026-02-30' })).body
      .errors[0],
  ).toMatchObject({ path: 'usedOn' })
  expect(
    (await school.lead.ask<TestBay>('GET', '/api/tests')).body.uses.filter(row => row.studentId === student),
  ).toMatchObject([{ process: 'SMAW', kind: 'used', usedOn: '2026-11-20', witness: 'Tobias', student: 'Bram Oakes' }])
})
