import { v7 as uuid } from 'uuid'
import { formatISO, subDays, addDays, parseISO } from 'date-fns'
import { SCHOOL_RULES, type DemoStudent } from '../../demo/gannetQuay'
import { formerTerms } from '../../demo/formerTerms'
import { takeTest, type TakenTo } from '../../demo/welderTests'
import { shippedBook, testPieceOf } from '../../core/qualification'
import { asRetest, newTest, testStanding, visualSigned, type WelderTest } from '../../core/welderTest'
import { dayNumber } from '../../core/calendar'
import { beginOutlook, outlookCase, testPlan, type Outlook } from '../../core/readiness'
import { seededRandom, type Random } from '../../core/statistics'
import { runAs } from '../../core/trade'
import { saveCoupon } from '../../server/store/coupons'
import type { Saver } from '../../server/store/savedDocument'
import { progressOf } from '../../server/store/progress'
import { schoolCurves } from '../../server/store/schoolCurves'
import { addSection } from '../../server/store/sections'
import { addStudent } from '../../server/store/students'
import { addProcessUse, saveTest } from '../../server/store/welderTests'

/** A student of the made-up school as the database knows it. */
export interface Enrolled {
  readonly id: string
  readonly place: number
  readonly student: DemoStudent
}

/** The house rules that tests of this term are taken by. */
const RULES_VERSION = 2
const ATTEMPTS = 400
/** At once, the structural code wants two of each. */
const RETEST_PIECES = 2
const dayOf = (date: Date) => formatISO(date, { representation: 'date' })

/**
 * Puts the made-up school's tests into its database: of this term with their forecasts, and of before it, due,
 * lapsed and kept alive.
 */
export async function fillTests(enrolled: readonly Enrolled[], lastDay: string, by: Omit<Saver, 'now'>): Promise<void> {
  const random = seededRandom(77)
  for (const one of enrolled)
    for (const [piece, book, coupon] of wanted(one.student))
      await take(one, { piece, book, testDay: one.student.coupons[coupon]!.document.classDay }, random, by)
  await formerTests(enrolled, parseISO(lastDay), random, by)
  await openTests(enrolled, parseISO(lastDay), random, by)
}

/**
 * Which pieces a student is sent to, by which book, on the class day of which coupon: by the highest rung that was
 * begun.
 */
function wanted({ coupons }: DemoStudent): (readonly [piece: string, book: string, coupon: number])[] {
  const rungs = new Set(coupons.map(({ document }) => document.ticket.rung))
  return [
    ...(rungs.has('V with backing 3G') ? [['plate-3g', 'structural', 58] as const] : []),
    ...(rungs.has('open root 3G') ? [['plate-4g', 'structural', 60] as const] : []),
    ...(rungs.has('pipe 5G') ? [['pipe-2-2g', 'pressure', 61] as const] : []),
    ...(rungs.has('pipe 6G') ? [['pipe-2-6g', 'pressure', 64] as const, ['open-root-3g', 'ISO', 62] as const] : []),
  ]
}

interface TestAsked {
  readonly piece: string
  readonly book: string
  readonly testDay: string
  readonly retest?: { readonly of: WelderTest; readonly id: string }
}

const idOn = (day: string, random: Random) =>
  uuid({
    msecs: Date.parse(`${day}T17:00:00Z`),
    random: Uint8Array.from({ length: 16 }, () => Math.floor(random.uniform() * 256)),
  })

function planned(
  { id: studentId, student }: Pick<Enrolled, 'id' | 'student'>,
  { piece, book, testDay, retest }: TestAsked,
  said: Outlook | null,
  random: Random,
): WelderTest {
  const couponId = idOn(testDay, random)
  if (retest) return asRetest(retest.of, { of: retest.id, pieces: RETEST_PIECES }, { testDay, couponId })
  return newTest(
    {
      book: { id: book, version: 0 },
      couponId,
      said,
      retest: null,
      limitMinutes: null,
      piece: testPieceOf(piece),
      welder: { studentId, classDay: testDay, rulesVersion: RULES_VERSION, hand: student.hand, booth: student.booth },
    },
    SCHOOL_RULES,
  )
}

async function saidOf(studentId: string, piece: string, book: string): Promise<Outlook> {
  const plan = testPlan(testPieceOf(piece), SCHOOL_RULES, shippedBook(book))
  const progress = (await progressOf(studentId))!
  const run = beginOutlook(outlookCase(progress, plan, dayNumber(dayOf(new Date())), 1))
  run.run(ATTEMPTS)
  return run.result()
}

/** The hand that takes a test, and what it has practised as the pool lies there. */
const handsOf = ({ learner, practised, opensAt }: DemoStudent, { test }: WelderTest) => ({
  learner,
  opensAt,
  practised: practised.get(runAs(test.position)) ?? 0,
})

/** Takes a test with its coupon; a failed one of the structural code is taken again at once, two pieces. */
async function take(
  one: Enrolled,
  asked: TestAsked,
  random: Random,
  by: Omit<Saver, 'now'>,
  to: TakenTo = 'result',
): Promise<void> {
  const book = shippedBook(asked.book)
  const said = asked.retest ? null : await saidOf(one.id, asked.piece, asked.book)
  const plan = planned(one, asked, said, random)
  const { document, coupon, savedAt } = takeTest(plan, book, handsOf(one.student, plan), random, to)
  const saver: Saver = { ...by, now: savedAt }
  const id = idOn(asked.testDay, random)
  if (to !== 'welded')
    await saveCoupon(document.couponId, { baseVersion: 0, why: '', document: coupon }, SCHOOL_RULES, saver)
  await saveTest(id, { baseVersion: 0, document }, book, saver)
  if (asked.retest || asked.book !== 'structural' || testStanding(document, book).state !== 'failed') return
  for (let n = 0; n < RETEST_PIECES; n++)
    await take(
      one,
      { ...asked, testDay: one.student.coupons[66]!.document.classDay, retest: { of: document, id } },
      random,
      by,
    )
}

/** Terms that are over: their students are archived, their tests are kept with what was said of them. */
export async function fillFormerTerms(lastDay: string, by: Omit<Saver, 'now'>): Promise<void> {
  const random = seededRandom(78)
  for (const { section, students } of formerTerms(lastDay, await schoolCurves())) {
    const { id: sectionId } = await addSection(section)
    for (const { name, student, tests } of students) {
      const { hand, booth, startDate } = student
      const { id } = await addStudent({ name, hand, booth, startDate, sectionId, active: false })
      for (const { piece, bookId, testDay, said } of tests) {
        const book = shippedBook(bookId)
        const plan = planned({ id, student }, { piece, book: bookId, testDay }, said, random)
        const { document, savedAt } = takeTest(plan, book, handsOf(student, plan), random)
        await saveTest(idOn(testDay, random), { baseVersion: 0, document }, book, { ...by, now: savedAt })
      }
    }
  }
}

/** Passed before this term, by place on the roster: days ago, the book, and days since a use or a confirmation. */
const FORMER: Readonly<Record<number, readonly [days: number, book: string, used: number | null]>> = {
  2: [170, 'pressure', null],
  6: [240, 'pressure', null],
  7: [175, 'ISO', 160],
  10: [330, 'pressure', 150],
  18: [150, 'ISO', null],
  27: [400, 'pressure', 200],
}

async function formerTests(
  enrolled: readonly Enrolled[],
  last: Date,
  random: Random,
  by: Omit<Saver, 'now'>,
): Promise<void> {
  for (const one of enrolled) {
    const [days, bookId, used] = FORMER[one.place] ?? []
    if (days === undefined || bookId === undefined) continue
    const testDay = dayOf(subDays(last, days))
    const book = shippedBook(bookId)
    const plan = planned(one, { piece: 'plate-3g', book: bookId, testDay }, null, random)
    const { document, savedAt } = takeTest(plan, book, { learner: one.student.learner, practised: 40 }, random)
    const passed: WelderTest = {
      ...document,
      visual: visualSigned({ ...document.visual!, outcome: 'passes' }, { computed: 'passes', failed: [] }),
      results: Object.fromEntries(
        ['face-1', 'root-2'].map(id => [
          id,
          { openings: [], byHand: null, note: '', by: 'TK', at: document.visual!.at },
        ]),
      ),
    }
    await saveTest(idOn(testDay, random), { baseVersion: 0, document: passed }, book, { ...by, now: savedAt })
    if (used !== null && used !== undefined) {
      const usedOn = dayOf(subDays(last, used))
      await addProcessUse(
        idOn(usedOn, random),
        {
          studentId: one.id,
          process: 'SMAW',
          kind: book.continuity.confirmed ? 'confirmed' : 'used',
          usedOn,
          witness: by.name,
        },
        { ...by, now: subDays(last, used) },
      )
    }
  }
}

/** What is still to do: one to be read, one to be bent, two planned for the week to come. */
async function openTests(
  enrolled: readonly Enrolled[],
  last: Date,
  random: Random,
  by: Omit<Saver, 'now'>,
): Promise<void> {
  const of = (place: number) => enrolled.find(one => one.place === place)!
  await take(of(5), { piece: 'pipe-2-5g', book: 'pressure', testDay: dayOf(subDays(last, 1)) }, random, by, 'welded')
  await take(
    of(13),
    { piece: 'open-root-3g', book: 'structural', testDay: dayOf(subDays(last, 1)) },
    random,
    by,
    'seen',
  )
  const book = 'structural'
  for (const piece of ['plate-3g', 'plate-4g']) {
    const testDay = dayOf(addDays(last, 6))
    const said = await saidOf(of(7).id, piece, book)
    const document = planned(of(7), { piece, book, testDay }, said, random)
    await saveTest(idOn(testDay, random), { baseVersion: 0, document }, shippedBook(book), { ...by, now: last })
  }
}
