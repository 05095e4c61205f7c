import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { gradeCoupon } from '../../core/grading'
import { DEFAULT_HOUSE_RULES } from '../../core/house'
import { diagnose } from '../../core/diagnosis'
import { drawLearner, weldCoupon } from '../../core/simulate'
import { seededRandom, quantile } from '../../core/statistics'
import { closeDatabase, database, rows, run } from '../../server/store/database'
import { openDatabase } from '../../server/store/nodes'
import { migrate } from '../../server/store/migrate'
import { causesSaid } from '../../server/store/causes'
import { findRodsUsed } from '../../server/store/rodBook'
import { findRodRoom } from '../../server/store/rodRoom'
import { saveCoupon } from '../../server/store/coupons'
import { boardOf } from '../../server/store/progress'
import { fitHere, keepCurves } from '../../server/store/schoolCurves'
import { findRecord } from '../../server/store/records'
import { ms, timed, times } from './timed'

const random = seededRandom(1)
const home = process.env.FUSILIS_DB_URL!

/**
 * A save with all that goes with it, beside a bare insert of the same document; turn about, so that both meet the
 * same machine.
 */
async function benchSave(): Promise<void> {
  const pool = database()
  await pool.query('CREATE TABLE bare (id UUID NOT NULL PRIMARY KEY, document JSON NOT NULL)')
  const [student] = await rows<{ id: string }>(pool, 'SELECT id FROM student LIMIT 1')
  const [account] = await rows<{ id: string; name: string }>(pool, `SELECT id, name FROM account WHERE role = 'lead'`)
  const bare: number[] = []
  const save: number[] = []
  for (let n = 0; n < 600; n++) {
    // As the Bench sends it: with what was advised, so that the server has nothing to infer.
    const document = {
      ...weldCoupon(aCoupon({ studentId: student!.id }), drawLearner(random, null), Math.floor(n / 8), random),
      advised: 'Close the arc',
    }
    const text = JSON.stringify(document)
    const insert = () => run(pool, 'INSERT INTO bare (id, document) VALUES (?, ?)', [uuid(), text])
    const whole = () =>
      saveCoupon(uuid(), { baseVersion: 0, why: '', document }, DEFAULT_HOUSE_RULES, { ...account!, now: new Date() })
    const [b, s] =
      n % 2
        ? [await timed(insert), await timed(whole)]
        : ([await timed(whole), await timed(insert)].reverse() as [number, number])
    if (n >= 100) {
      bare.push(b)
      save.push(s)
    }
  }
  for (const [name, share] of [
    ['p50', 0.5],
    ['p95', 0.95],
  ] as const)
    console.log(
      `save ${name}: ${times(quantile(save, share) / quantile(bare, share))} a bare insert (${ms(quantile(save, share))} to ${ms(quantile(bare, share))})`,
    )
}

const PER_STUDENT = 70
const ELEMENTS = ['start', 'restart', 'run', 'toes', 'overlap', 'width', 'straightness', 'ends', 'clean-up']

/** What a progress reads of a document; the rest is left out, as neither record nor board reads it. */
const TICKET = JSON.stringify({ ticket: { rung: 'flat pad', hand: 'right', travel: 'left to right' }, mock: false })
const A_SECTION = 24

/** A database of its own with this many coupons: rows as a save makes them. */
async function growDatabase(name: string, coupons: number): Promise<string> {
  await database().query(`CREATE DATABASE ${name}`)
  const url = home.replace(/\/fusilis$/, `/${name}`)
  const pool = openDatabase(url)
  await migrate(pool)
  const idOf = (kind: string, number: string) => `CONCAT('01900000-0000-7${kind}-8000-', LPAD(HEX(${number}), 12, '0'))`
  const connection = await pool.getConnection()
  await connection.query('SET unique_checks = 0, foreign_key_checks = 0')
  const students = Math.ceil(coupons / PER_STUDENT)
  await connection.query(
    `INSERT INTO section (id, name, meetings, term_from, term_to) SELECT ${idOf('001', 'seq')}, CONCAT('Bench ', seq), '[]', '2026-01-01', '2026-12-31' FROM seq_1_to_${Math.ceil(students / A_SECTION)}`,
  )
  await connection.query(
    `INSERT INTO account (id, name, username, role, student_id, password_hash, active) VALUES (${idOf('002', '1')}, 'Bench', 'bench', 'lead', NULL, '', 1)`,
  )
  await connection.query(
    `INSERT INTO student (id, name, hand, section_id, start_date, booth, active) SELECT ${idOf('003', 'seq')}, CONCAT('Student ', seq), 'right', ${idOf('001', `1 + (seq - 1) DIV ${A_SECTION}`)}, '2026-01-01', NULL, 1 FROM seq_1_to_${students}`,
  )
  await connection.query('INSERT INTO student_progress (student_id, serial) SELECT id, 1 FROM student')
  const STEP = 100_000
  for (let from = 1; from <= coupons; from += STEP) {
    const range = `seq_${from}_to_${Math.min(coupons, from + STEP - 1)}`
    const student = idOf('003', `1 + (seq - 1) DIV ${PER_STUDENT}`)
    const day = `DATE_ADD('2026-01-05', INTERVAL seq MOD ${PER_STUDENT} DAY)`
    const position = `ELT(1 + seq MOD 4, '1G', '2G', '3G', '4G')`
    await connection.query(`INSERT INTO coupon (id, student_id, class_day, position, rod_family, verdict, score, next_run, told_odds, version, document, saved_at, saved_by)
      SELECT ${idOf('004', 'seq')}, ${student}, ${day}, ${position}, 'low hydrogen', 'move on', 90, '', 0.5, 1, '${TICKET}', '2026-01-05', ${idOf('002', '1')} FROM ${range}`)
    await connection.query(`INSERT INTO evidence (student_id, coupon_id, element, class_day, work, position, rod_family, tried, sound, workable) SELECT ${student}, ${idOf('004', 'seq')}, element, ${day}, 'plate', ${position}, 'low hydrogen', 8, 6, 1
      FROM ${range} JOIN (${ELEMENTS.map(element => `SELECT '${element}' AS element`).join(' UNION ')}) AS elements`)
    await connection.query(
      `INSERT INTO flaw (student_id, coupon_id, flaw, count, length_mm) SELECT ${student}, ${idOf('004', 'seq')}, flaw, 2, 10 FROM ${range} JOIN (SELECT 'undercut' AS flaw UNION SELECT 'porosity') AS flaws`,
    )
  }
  await growHistory(connection, coupons, idOf)
  connection.release()
  await pool.query('ANALYZE TABLE coupon, evidence, flaw, student, cause_said, sign_course, rod_movement, oven_reading')
  await pool.end()
  return url
}

/** Minutes between two lines of the rod book: the newest weeks hold as many in a school of long standing. */
const LINE_EVERY_MINUTES = 50
const CAUSES_SAID = ['arc long', 'current high', 'travel fast', 'too short in crater']

/** What else has gathered: causes that were said, what came of changes, the rod room's book, readings of the oven. */
async function growHistory(
  on: { readonly query: (sql: string) => Promise<unknown> },
  coupons: number,
  idOf: (kind: string, number: string) => string,
): Promise<void> {
  const student = idOf('003', `1 + (seq - 1) DIV ${PER_STUDENT}`)
  const cause = `ELT(1 + seq MOD ${CAUSES_SAID.length}, ${CAUSES_SAID.map(one => `'${one}'`).join(', ')})`
  const ago = `UTC_TIMESTAMP() - INTERVAL (${LINE_EVERY_MINUTES} * seq) MINUTE`
  const expected = JSON.stringify(CAUSES_SAID.map(one => ({ cause: one, expected: 1 / CAUSES_SAID.length })))
  await on.query(`INSERT INTO cause_said (coupon_id, student_id, cause, said_at, expected)
    SELECT ${idOf('004', 'seq')}, ${student}, ${cause}, ${ago}, '${expected}' FROM seq_1_to_${coupons}_step_10`)
  await on.query(`INSERT INTO sign_course (coupon_id, sign, before_id, student_id, told_by, cause, done, gone)
    SELECT ${idOf('004', 'seq')}, 'spatter', ${idOf('004', 'seq - 1')}, ${student}, ${idOf('002', '1')}, ${cause}, 1, 1
    FROM seq_2_to_${coupons}_step_3`)
  await on.query(`INSERT INTO rod_lot (id, classification, diameter_mm, makers_lot, resistant, received_on, rods_in_box,
      box_price_cents, place, saved_by, saved_at, rods)
    VALUES (${idOf('005', '1')}, 'E7018', 3.175, 'B 1', 0, '2026-01-01', 100, 4000, 'oven', 'Bench', '2026-01-01', 500)`)
  await on.query(`INSERT INTO rod_movement (id, lot_id, kind, rods, student_id, why, noted_by, noted_at)
    SELECT ${idOf('006', 'seq')}, ${idOf('005', '1')}, 'issued', -2, ${student}, '', 'Bench', ${ago} FROM seq_1_to_${coupons}`)
  // All but today's came back without a rod.
  await on.query(`INSERT INTO rod_movement (id, lot_id, kind, rods, handful_id, student_id, why, noted_by, noted_at)
    SELECT ${idOf('008', 'seq')}, ${idOf('005', '1')}, 'returned', 0, ${idOf('006', 'seq')}, ${student}, '', 'Bench', ${ago}
    FROM seq_20_to_${coupons}`)
  await on.query(`INSERT INTO oven_reading (id, oven, celsius, door_open, read_by, read_at)
    SELECT ${idOf('007', 'seq')}, 'oven', 120, 0, 'Bench', ${ago} FROM seq_1_to_${coupons}`)
  await on.query(
    `INSERT INTO cause_tally (student_id, cause, said, expected) SELECT '', cause, COUNT(*), COUNT(*) FROM cause_said GROUP BY cause`,
  )
}

/** What the Bench asks first, and what the rod room does: neither is to take longer in a school of long standing. */
const FIRST_ASKED: Readonly<Record<string, () => Promise<unknown>>> = {
  'causes': causesSaid,
  'rod room': () => findRodRoom(null, new Date()),
  'rods used': () => findRodsUsed(null),
}

async function benchFirstAsked(urls: readonly string[], sizes: readonly number[]): Promise<void> {
  for (const [name, ask] of Object.entries(FIRST_ASKED)) {
    const taken: number[][] = [[], []]
    for (let round = 0; round < 6; round++)
      for (const which of [0, 1] as const) {
        process.env.FUSILIS_DB_URL = urls[which]
        for (let n = 0; n < 12; n++) {
          const took = await timed(ask)
          if (round > 0 && n >= 4) taken[which]!.push(took)
        }
        await closeDatabase()
      }
    const [small, big] = taken.map(list => quantile(list, 0.5)) as [number, number]
    console.log(
      `${name} at ${sizes[1]!.toLocaleString('en')} coupons: ${times(big / small)} that at ` +
        `${sizes[0]!.toLocaleString('en')} (${ms(big)} to ${ms(small)}; aim 1.3)`,
    )
  }
}

/** Records of students all over the school, in the small database and the large one, turn about. */
async function benchRecord(large: number): Promise<void> {
  const sizes = [10_000, large] as const
  const urls = [await growDatabase('bench_small', sizes[0]), await growDatabase('bench_large', sizes[1])]
  await closeDatabase()
  const taken: number[][] = [[], []]
  for (let round = 0; round < 8; round++) {
    for (const which of [0, 1] as const) {
      process.env.FUSILIS_DB_URL = urls[which]
      for (let n = 0; n < 60; n++) {
        const student = 1 + Math.floor(random.uniform() * Math.floor(sizes[which] / PER_STUDENT))
        const id = `01900000-0000-7003-8000-${student.toString(16).padStart(12, '0')}`
        const took = await timed(() => findRecord(id))
        if (round > 0 && n >= 10) taken[which]!.push(took)
      }
      await closeDatabase()
    }
  }
  await benchFirstAsked(urls, sizes)
  await benchBoard(urls[1]!, Math.floor(sizes[1] / PER_STUDENT / A_SECTION))
  process.env.FUSILIS_DB_URL = home
  for (const [name, share] of [
    ['p50', 0.5],
    ['p95', 0.95],
  ] as const) {
    const [small, big] = taken.map(list => quantile(list, share)) as [number, number]
    console.log(
      `record ${name} at ${sizes[1].toLocaleString('en')} coupons: ${times(big / small)} that at ${sizes[0].toLocaleString('en')} (${ms(big)} to ${ms(small)})`,
    )
  }
}

const BOARD_AIM_MS = 150

/**
 * The Board of sections all over the large school: as a rule, and when every one of its students has a coupon that
 * nothing was computed from yet.
 */
async function benchBoard(url: string, sections: number): Promise<void> {
  process.env.FUSILIS_DB_URL = url
  await keepCurves(new Date(), fitHere)
  const [first, again]: [number[], number[]] = [[], []]
  for (let n = 0; n < 30; n++) {
    const id = `01900000-0000-7001-8000-${(1 + Math.floor(random.uniform() * (sections - 1))).toString(16).padStart(12, '0')}`
    const [cold, warm] = [await timed(() => boardOf(id)), await timed(() => boardOf(id))]
    if (n >= 5) {
      first.push(cold)
      again.push(warm)
    }
  }
  await closeDatabase()
  console.log(
    `board of ${A_SECTION} students in the large school: p95 ${(quantile(again, 0.95) / BOARD_AIM_MS).toFixed(2)} of ${BOARD_AIM_MS} ms; ${(quantile(first, 0.95) / BOARD_AIM_MS).toFixed(2)} when all of them are to be computed first`,
  )
}

/** Grading and reading a coupon, beside parsing its JSON. */
async function benchGrading(): Promise<void> {
  const documents = Array.from({ length: 300 }, (_, n) =>
    weldCoupon(aCoupon({ beadCount: 10 }), drawLearner(random, null), n % 40, random),
  )
  const texts = documents.map(document => JSON.stringify(document))
  const grade = () =>
    documents.forEach(document => {
      gradeCoupon(document, DEFAULT_HOUSE_RULES)
      diagnose(document, DEFAULT_HOUSE_RULES)
    })
  const parse = () => texts.forEach(text => JSON.parse(text))
  const [graded, parsed]: [number[], number[]] = [[], []]
  for (let round = 0; round < 40; round++) {
    graded.push(await timed(grade))
    parsed.push(await timed(parse))
  }
  const [g, p] = [quantile(graded, 0.5), quantile(parsed, 0.5)]
  console.log(
    `grading and reading: ${times(g / p)} parsing the same documents (${Math.round((300 / g) * 1000).toLocaleString('en')} coupons a second)`,
  )
}

await benchSave()
await benchGrading()
await benchRecord(process.argv.includes('--quick') ? 100_000 : 1_000_000)
await closeDatabase()
