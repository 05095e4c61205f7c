import { NOTHING_WRONG, skillOf, skillRate, whenNext } from '../../core/progress'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aCoupon, aFlaw } from '../../core/coupon/example'
import { isTry, setDegree, type CouponDocument, type TryMark } from '../../core/coupon'
import { DEFAULT_HOUSE_RULES } from '../../core/house'
import { FULL_LADDER } from '../../core/ladder'
import { dayNumber } from '../../core/calendar'
import type { Board, LadderVersion, SectionReport, StudentProgress } from '../../contract/progress'
import type { Student } from '../../contract/people'
import type { RulesVersion, StudentRecord } from '../../contract/record'
import { closeDatabase, database, rows } from '../../server/store/database'
import { fitHere, keepCurves, schoolCurves, type FitCurves } from '../../server/store/schoolCurves'
import { addClass, foundTestSchool, type School } from '../school'

afterAll(closeDatabase)

let school: School
let section: string
let student: string
beforeAll(async () => {
  school = await foundTestSchool()
  const made = await addClass(school, 'Evening V2 progress', 'Ottilie Brann')
  section = made.section.id
  student = made.student.id
})

const progress = async () =>
  (await school.instructor.ask<StudentProgress>('GET', `/api/students/${student}/progress`)).body
const rung = async (id: string) => (await progress()).climb.find(state => state.rungId === id)!
const save = (document: CouponDocument, id = uuid(), baseVersion = 0) =>
  school.instructor.ask('PUT', `/api/coupons/${id}`, { baseVersion, why: 'seen again', document })
const padOn = (classDay: string, poorRestarts = 0): CouponDocument => {
  const pad = { ...aCoupon({ studentId: student }), classDay }
  let left = poorRestarts
  return {
    ...pad,
    marks: pad.marks.map(mark =>
      mark.kind === 'restart' && left-- > 0 ? { ...(setDegree(mark, 3) as TryMark), fault: 'high' } : mark,
    ),
  }
}
const signOff = (rungId: string, why = '', id = uuid()) =>
  school.instructor.ask<StudentProgress & { errors?: { path: string; message: string }[] }>(
    'PUT',
    `/api/sign-offs/${id}`,
    { studentId: student, rungId, why },
  )

describe('progress', () => {
  it('knows what a test would have rejected of each coupon, by the criteria of each book', async () => {
    const made = await addClass(school, 'Evening V rejected', 'Tamsin Orde')
    const document = aCoupon({ studentId: made.student.id })
    const ends = document.marks.filter(isTry).filter(mark => mark.kind === 'end')
    const craters = new Set(ends.slice(0, 2).map(mark => mark.id))
    const marks = document.marks.map(mark =>
      craters.has(mark.id) ? { ...(setDegree(mark, 3) as TryMark), fault: 'crater' } : mark,
    )
    const overlap = { ...aFlaw(), flaw: 'overlap' as const }
    await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, {
      baseVersion: 0,
      why: '',
      document: { ...document, marks: [...marks, overlap] },
    })
    const { wrong } = (await school.instructor.ask<StudentProgress>('GET', `/api/students/${made.student.id}/progress`))
      .body.standing
    const rejected = wrong.flatMap(row =>
      row.rejected['d1.1 welder'] ? [[row.element, row.rejected['d1.1 welder']]] : [],
    )
    expect(Object.fromEntries(rejected)).toEqual({ ends: 2, toes: 1 })
    expect(wrong.some(row => row.rejected['ix visual'] !== undefined)).toBe(false)
    expect(wrong.find(row => row.element === 'ends')!.unsound).toBe(2)
  })
  it('of a new student is an open first rung and what the school knows', async () => {
    const { climb, standing, ladder } = await progress()
    expect(ladder).toMatchObject({ version: 1, saved: null })
    expect(climb.filter(state => state.status === 'open').map(state => state.rungId)).toEqual(['arc-strikes'])
    expect(standing).toMatchObject({ coupons: 0, lastDay: null, beliefs: {}, wrong: NOTHING_WRONG })
  })

  it('is reckoned once for all who look at a stale board at the same moment', async () => {
    const { section: own, student: first } = await addClass(school, 'Evening V crowd', 'Arne Lusk')
    const others = await Promise.all(
      ['Bo Tarn', 'Cai Wend', 'Dag Holm'].map(name =>
        school.lead.ask<Student>('POST', '/api/students', { ...first, id: undefined, name }),
      ),
    )
    const ids = [first.id, ...others.map(answer => answer.body.id)]
    for (const studentId of ids)
      await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, {
        baseVersion: 0,
        why: '',
        document: aCoupon({ studentId }),
      })
    await school.instructor.ask('GET', `/api/sections/${own.id}/board`)
    await database().execute(
      `UPDATE student_progress SET computed = NULL WHERE student_id IN (${ids.map(() => '?').join(', ')})`,
      ids,
    )
    const updates = async () =>
      Number((await rows<{ Value: string }>(database(), "SHOW GLOBAL STATUS LIKE 'Com_update'"))[0]!.Value)
    const before = await updates()
    const boards = await Promise.all(
      Array.from({ length: 30 }, () => school.instructor.ask<Board>('GET', `/api/sections/${own.id}/board`)),
    )
    expect(boards.every(board => board.body.rows.length === ids.length)).toBe(true)
    expect(boards.every(board => JSON.stringify(board.body) === JSON.stringify(boards[0]!.body))).toBe(true)
    const done = (await updates()) - before
    expect(done).toBeGreaterThanOrEqual(ids.length)
    expect(done).toBeLessThan(3 * ids.length)
  })

  it('follows each save, and a coupon graded again', async () => {
    await save(padOn('2026-10-05'))
    const id = uuid()
    await save(padOn('2026-10-06'), id)
    expect(await rung('flat-pad')).toMatchObject({
      status: 'open',
      coupons: 2,
      good: 2,
      says: '2 of 3 good in a row',
      lastDay: '2026-10-06',
    })
    const rate = async () => {
      const { standing, curves } = await progress()
      const cell = {
        element: 'restart',
        lie: '1G',
        work: 'plate',
        rodFamily: 'low hydrogen',
        otherHand: false,
        otherWay: false,
      } as const
      return skillRate(skillOf(standing, curves, 'restart'), cell, whenNext(standing, '1G', dayNumber('2026-10-07')))
        .rate
    }
    const before = await rate()
    await save(padOn('2026-10-06', 9), id, 1)
    expect(await rung('flat-pad')).toMatchObject({ coupons: 2, good: 1, says: '0 of 3 good in a row' })
    expect(await rate()).toBeLessThan(before)
  })

  it('stands on the Board with the rest of the section', async () => {
    const { rows, ladder } = (await school.instructor.ask<Board>('GET', `/api/sections/${section}/board`)).body
    expect(ladder.ladder.rungs).toHaveLength(FULL_LADDER.rungs.length)
    expect(rows).toMatchObject([{ student: { id: student, name: 'Ottilie Brann' }, lastDay: '2026-10-06', coupons: 2 }])
    expect(rows[0]!.climb.find(state => state.rungId === 'flat-pad')!.coupons).toBe(2)
  })
})

describe('what progress rests on', () => {
  const computed = async () =>
    (
      await rows<{ kept: string; rules: number; serial: number; computed: number }>(
        database(),
        'SELECT kept, rules, serial, computed FROM student_progress WHERE student_id = ?',
        [student],
      )
    )[0]!

  it('is computed again when the house rules change', async () => {
    const before = await progress()
    const { version } = (await school.lead.ask<RulesVersion[]>('GET', '/api/house-rules')).body.at(-1)!
    const changed = await school.lead.ask('POST', '/api/house-rules', {
      baseVersion: version,
      why: 'a hand forgets sooner',
      rules: { ...DEFAULT_HOUSE_RULES, halfLifeDays: 10 },
    })
    expect(changed.status).toBe(201)
    const after = await progress()
    expect((await computed()).rules).toBe(version + 1)
    expect(after.standing.beliefs).not.toEqual(before.standing.beliefs)
  })

  it('is computed again when a student turns out to be left-handed', async () => {
    await progress()
    const was = await computed()
    const { body } = await school.lead.ask<Student[]>('GET', `/api/sections/${section}/students`)
    const { id, ...fields } = body.find(one => one.id === student)!
    const put = (hand: 'left' | 'right') => school.lead.ask('PUT', `/api/students/${id}`, { ...fields, hand })
    expect((await put('left')).status).toBe(200)
    expect((await computed()).serial).toBe(was.serial + 1)
    await progress()
    expect((await computed()).computed).toBe(was.serial + 1)
    expect((await put('left')).status).toBe(200)
    expect((await computed()).serial).toBe(was.serial + 1)
    await put('right')
  })
})

describe('signing off', () => {
  it('early wants a reason; in turn none; the name, and where it stood, are kept', async () => {
    const early = await signOff('flat-pad')
    expect(early.status).toBe(422)
    expect(early.body.errors).toEqual([
      { path: 'why', message: 'The rule is not met yet: say why it is signed off now' },
    ])
    for (const day of ['2026-10-07', '2026-10-08', '2026-10-09']) await save(padOn(day))
    expect(await rung('flat-pad')).toMatchObject({ status: 'ready', met: true })
    const id = uuid()
    const signed = await signOff('flat-pad', '', id)
    expect(signed.body.signOffs).toMatchObject([
      { id, rungId: 'flat-pad', outOfTurn: null, by: 'tobias', stood: '3 of 3 good in a row; 4 of 5 coupons good' },
    ])
    expect((await signOff('flat-pad', '', id)).status).toBe(200)
    expect((await signOff('flat-pad')).status).toBe(409)
    expect((await rung('flat-pad')).status).toBe('signed off')
    expect((await rung('horizontal-pad')).status).toBe('open')
  })

  it('is taken back with a reason, and may be given again', async () => {
    const [first] = (await progress()).signOffs
    expect((await school.lead.ask('POST', `/api/sign-offs/${first!.id}/take-back`, { why: '' })).status).toBe(422)
    expect(
      (
        await school.lead.ask('POST', `/api/sign-offs/${first!.id}/take-back`, {
          why: 'the restarts were on another’s pad',
        })
      ).status,
    ).toBe(204)
    expect((await school.lead.ask('POST', `/api/sign-offs/${first!.id}/take-back`, { why: 'again' })).status).toBe(404)
    expect((await rung('flat-pad')).status).toBe('ready')
    expect((await signOff('flat-pad')).status).toBe(200)
  })

  it('names what is not there', async () => {
    expect((await signOff('moonwalk', 'why not')).body.errors).toEqual([
      { path: 'rungId', message: 'There is no such rung on the ladder' },
    ])
    expect(
      (
        await school.instructor.ask('PUT', `/api/sign-offs/${uuid()}`, {
          studentId: uuid(),
          rungId: 'flat-pad',
          why: 'x',
        })
      ).body.errors,
    ).toEqual([{ path: 'studentId', message: 'There is no such student' }])
  })
})

it('a section’s report tells attendance, rungs and rates', async () => {
  const { status, body } = await school.instructor.ask<SectionReport>('GET', `/api/sections/${section}/report`)
  expect(status).toBe(200)
  expect(body).toMatchObject({ school: 'Gannet Quay Trades Hall', section: 'Evening V2 progress' })
  expect(body.rows).toMatchObject([
    {
      days: 5,
      firstDay: '2026-10-05',
      lastDay: '2026-10-09',
      coupons: 5,
      signedOff: [{ rung: 'flat pad', by: 'tobias' }],
    },
  ])
  expect(body.rows[0]!.weldedMm).toBeGreaterThan(4000)
  expect(body.rows[0]!.rates.find(rate => rate.element === 'Arc starts')).toMatchObject({ coupons: 5 })
  const grid = (await school.instructor.ask<StudentRecord>('GET', `/api/students/${student}/record`)).body.grid
  expect(grid).toMatchObject([
    { position: '1G', hand: 'right', travel: 'left to right', coupons: 5, starts: { tried: 30 } },
  ])
})

describe('what to run next', () => {
  const pin = (rungId: string | null) =>
    school.instructor.ask<StudentProgress & { errors?: unknown }>('PUT', `/api/students/${student}/pin`, {
      rungId,
      over: 'horizontal pad',
    })
  it('is pinned by an instructor, over what was proposed, and unpinned', async () => {
    expect((await pin('restart-strip')).body.pin).toMatchObject({
      rungId: 'restart-strip',
      over: 'horizontal pad',
      by: 'tobias',
    })
    expect((await pin('moonwalk')).body.errors).toEqual([
      { path: 'rungId', message: 'There is no such rung on the ladder' },
    ])
    expect((await progress()).pin!.rungId).toBe('restart-strip')
    expect((await pin(null)).body.pin).toBeNull()
  })
  it('goes by the days', async () => {
    const { lately } = await progress()
    expect(lately.map(day => day.classDay)).toEqual([
      '2026-10-05',
      '2026-10-06',
      '2026-10-07',
      '2026-10-08',
      '2026-10-09',
    ])
  })
})

describe('a rung that is called otherwise', () => {
  it('keeps its coupons, and whatever is run on it under either name counts', async () => {
    const kept = (await school.lead.ask<LadderVersion>('GET', '/api/ladder')).body
    const before = (await rung('flat-pad')).coupons
    const rename = (name: string, { version, ladder }: LadderVersion) =>
      school.lead.ask<LadderVersion>('POST', '/api/ladder', {
        baseVersion: version,
        why: 'our own word',
        ladder: { ...ladder, rungs: ladder.rungs.map(one => (one.id === 'flat-pad' ? { ...one, name } : one)) },
      })
    const renamed = await rename('first pad', kept)
    expect(renamed.status).toBe(201)
    expect((await rung('flat-pad')).coupons).toBe(before)
    const base = padOn('2026-10-12')
    const ticket = { ...base.ticket, rung: 'whatever it was', rungId: 'flat-pad' }
    expect((await save({ ...base, ticket })).status).toBe(200)
    expect((await rung('flat-pad')).coupons).toBe(before + 1)
    expect((await rename('flat pad', renamed.body)).status).toBe(201)
  })
})

describe('the school’s ladder', () => {
  const post = (ladder: unknown, baseVersion: number) =>
    school.lead.ask<LadderVersion & { errors?: { path: string; message: string }[] }>('POST', '/api/ladder', {
      baseVersion,
      why: 'our own order',
      ladder,
    })
  const current = async () => (await school.lead.ask<LadderVersion>('GET', '/api/ladder')).body

  it('is saved as a version by a lead; over a newer one it is refused', async () => {
    const { version, ladder } = await current()
    const changed = {
      ...ladder,
      rungs: ladder.rungs.map(row => (row.id === 'outside-corner' ? { ...row, retired: true } : row)),
    }
    expect((await post(changed, version)).body).toMatchObject({
      version: version + 1,
      saved: { by: 'Maren Holt', why: 'our own order' },
    })
    expect((await post(changed, version)).status).toBe(409)
    expect((await progress()).climb.some(state => state.rungId === 'outside-corner')).toBe(false)
  })

  it.each([
    [
      'a circle',
      (row: { id: string }) => (row.id === 'flat-pad' ? { needs: ['horizontal-pad'] } : {}),
      'ladder.rungs[1].needs',
      /a circle that nobody can enter/,
    ],
    [
      'a rule with rates the wrong way round',
      (row: { id: string }) =>
        row.id === 'flat-pad-stubs'
          ? { signOff: { by: 'LC-CUSUM', element: 'restart', acceptable: 0.4, unacceptable: 0.3, limit: 1 } }
          : {},
      'ladder.rungs[2].signOff.unacceptable',
      /over acceptable/,
    ],
    [
      'a position the piece cannot take',
      (row: { id: string }) => (row.id === 'pipe-6g' ? { position: '3F' } : {}),
      'ladder.rungs[28].position',
      /does not go with the piece/,
    ],
    [
      'a rule that is none',
      (row: { id: string }) => (row.id === 'flat-pad' ? { signOff: { by: 'mood' } } : {}),
      'ladder.rungs[1].signOff',
      /no rule/,
    ],
  ])('refuses %s, and says where', async (_, change, path, message) => {
    const { version, ladder } = await current()
    const { status, body } = await post(
      { ...ladder, rungs: ladder.rungs.map(row => ({ ...row, ...change(row) })) },
      version,
    )
    expect(status).toBe(422)
    expect(body.errors!.find(error => error.path === path)?.message).toMatch(message)
  })

  it('keeps rungs that sign-offs name: they are retired, not removed', async () => {
    const { version, ladder } = await current()
    expect(
      (await post({ ...ladder, rungs: ladder.rungs.filter(row => row.id !== 'edge' && row.id !== 'pipe-6g') }, version))
        .body.errors![0]!.message,
    ).toMatch(/pipe 6G is missing: retire a rung/)
  })
})

describe('the school’s curves', () => {
  it('are fitted once for all whose saves find them due at one moment, and again for who comes later', async () => {
    let fits = 0
    const fit: FitCurves = known => {
      fits += 1
      return fitHere(known)
    }
    const { version } = await schoolCurves()
    await Promise.all(Array.from({ length: 20 }, () => keepCurves(new Date(), fit)))
    expect(fits).toBe(1)
    expect((await schoolCurves()).version).toBeGreaterThan(version)
    await keepCurves(new Date(), fit)
    expect(fits).toBe(2)
    await expect(keepCurves(new Date(), () => Promise.reject(new Error('no thread')))).rejects.toThrow('no thread')
    await keepCurves(new Date(), fit)
    expect(fits).toBe(3)
  })
})
