import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import { v7 as uuid } from 'uuid'
import { growSchool, SCHOOL_NAME, SCHOOL_RULES, type DemoCoupon } from '../../demo/gannetQuay'
import { SCHOOL_LADDER } from '../../demo/ladder'
import { practiceAnswers } from '../../demo/readingRoom'
import { demoBook, demoDays, DEMO_LOTS, DEMO_OVENS } from '../../demo/rods'
import { DEMO_CLAMPS, DEMO_FAULT, DEMO_PROGRAMME, DEMO_SHOP } from '../../demo/shop'
import { demoCalendar } from '../../demo/calendar'
import { readByEye, SECOND_INSTRUCTOR, studentsEye, type Eye } from '../../demo/blindReadings'
import { classDayAt, MACHINE_CLOCK, wallClockAt } from '../../core/calendar'
import { outOfTurn } from '../../core/ladder'
import { seededRandom, type Random } from '../../core/statistics'
import type { PictureSave } from '../../contract/pictures'
import { DEMO_ACCOUNTS, DEMO_PASSWORD } from '../../demo/accounts'
import { couponPhotograph } from '../../demo/couponPhotograph'
import { fillFormerTerms, fillTests, type Enrolled } from './demoTests'
import { addAccount, foundSchool } from '../../server/store/accounts'
import { saveCoupon } from '../../server/store/coupons'
import { keepRules } from '../../server/store/houseRules'
import { keepLadder } from '../../server/store/ladder'
import { boardOf, progressOf } from '../../server/store/progress'
import { fitHere, keepCurves } from '../../server/store/schoolCurves'
import { addSignOff } from '../../server/store/signOffs'
import { keepBeadAnswer } from '../../server/store/readingRoom'
import { keepPicture } from '../../server/store/pictures'
import { setReady } from '../../server/store/queue'
import { addAttendanceNote } from '../../server/store/attendance'
import { addDemonstration } from '../../server/store/demonstrations'
import { addRemark } from '../../server/store/remarks'
import { askHours } from '../../server/store/school'
import { keepLot, noteOven, writeMovement } from '../../server/store/rodRoom'
import { addClampReading } from '../../server/store/clampReadings'
import { addFault, keepShop } from '../../server/store/shop'
import { keepCalendar } from '../../server/store/schoolCalendar'
import { addSection } from '../../server/store/sections'
import { keepBlindReading, type Reader } from '../../server/store/blindReadings'
import { setStudentCode } from '../../server/store/studentCodes'
import { addStudent } from '../../server/store/students'

const AT_ONCE = 8

/** Puts the made-up school into an empty database; the same seed and day give the same school. */
export async function fillDemo(seed: number, lastDay: string): Promise<void> {
  const random = seededRandom(seed)
  const hash = new Hash(new Scrypt({}))
  const password = await hash.make(DEMO_PASSWORD)
  const [lead, instructor, pupil] = DEMO_ACCOUNTS
  const head = await foundSchool(SCHOOL_NAME, lead, password)
  if (!head) throw new Error('There is a school in this database already')
  const teacher = await addAccount({ ...instructor, studentId: null, sectionIds: null, active: true }, password, 'own')
  await keepRules(1, SCHOOL_RULES, {
    by: head.name,
    why: 'one bead width for all small rods',
    now: new Date(`${lastDay}T00:00:00Z`),
  })
  await askHours(DEMO_PROGRAMME)
  await keepCalendar(0, demoCalendar(lastDay), { name: head.name, now: new Date(`${lastDay}T00:00:00Z`) })
  await keepLadder(1, SCHOOL_LADDER, {
    by: head.name,
    why: 'fewer joints, then straight to grooves and pipe',
    now: new Date(`${lastDay}T00:00:00Z`),
  })
  const sections: string[] = []
  const enrolled: Enrolled[] = []
  const jobs: (() => Promise<unknown>)[] = []
  const plates: SavedPlate[] = []
  for (const { fields, students } of growSchool(seed, lastDay)) {
    const section = await addSection(fields)
    sections.push(section.id)
    for (const own of students) {
      const { name, hand, booth, startDate, coupons } = own
      const student = await addStudent({ name, hand, booth, startDate, sectionId: section.id, active: true })
      enrolled.push({ id: student.id, place: enrolled.length, student: own })
      if (name === pupil.name) {
        const fields = { ...pupil, studentId: student.id, sectionIds: null, active: true }
        await addAccount(fields, password, 'own')
      }
      jobs.push(async () => {
        await setStudentCode(student.id, await hash.make(demoCode(booth)))
      })
      if (booth % 2 === 1) jobs.push(practising(student.id, coupons))
      for (const [n, coupon] of coupons.entries()) {
        const id = idAt(coupon.savedAt, random)
        jobs.push(saving(student.id, coupon, teacher, id))
        if (coupon.document.piece.kind === 'pad') plates.push({ id, studentId: student.id, coupon })
        const own = { ...coupon, document: { ...coupon.document, studentId: student.id } }
        if (n % 9 === 4)
          jobs.push(reading(id, own, { kind: 'student', id: student.id }, studentsEye(n / coupons.length)))
        if (n % 30 === 17) jobs.push(reading(id, own, { kind: 'instructor', id: head.id }, SECOND_INSTRUCTOR))
      }
    }
  }
  await atOnce(jobs)
  // Chance of its own: the rest of the school is what it was without pictures.
  const light = seededRandom(seed + 1)
  for (const plate of newestPlates(plates)) await takePicture(plate, teacher.name, light)
  await keepCurves(new Date(`${lastDay}T12:00:00Z`), fitHere)
  for (const id of sections)
    await atOnce(
      (await boardOf(id)).rows.map(
        ({ student }) =>
          () =>
            signOff(student.id, teacher.name, random),
      ),
    )
  await fillFormerTerms(lastDay, teacher)
  await fillTests(enrolled, lastDay, teacher)
  const left = new Date(`${lastDay}T20:10:00Z`)
  for (const { place, booth, says } of REMARKS) {
    const studentId = place === null ? null : enrolled[place]!.id
    await addRemark(idAt(left, random), { sectionId: sections[0]!, studentId, booth, says }, { ...teacher, now: left })
  }
  const classDay = enrolled[0]!.student.coupons.at(-1)!.document.classDay
  for (const { place, ...note } of NOTES) {
    const studentId = enrolled[place]!.id
    await addAttendanceNote(idAt(left, random), { studentId, classDay, ...note }, { ...teacher, now: left })
  }
  const shown = { sectionId: sections[0]!, classDay, students: 11, ...DEMONSTRATION }
  await addDemonstration(idAt(left, random), shown, { ...teacher, now: left })
  const now = new Date()
  await keepShop(0, DEMO_SHOP, { ...teacher, now })
  await fillRods(enrolled, now, random, teacher)
  await addFault(idAt(now, random), DEMO_FAULT, { ...teacher, now })
  for (const { days, ...reading } of DEMO_CLAMPS) {
    const at = new Date(now.getTime() - days * 86_400_000)
    await addClampReading(idAt(at, random), reading, { ...teacher, now: at })
  }
  const came = { classDay: classDayAt(now, MACHINE_CLOCK), came: cameAt(now), left: null, absent: false, why: '' }
  for (const { id: studentId } of enrolled.slice(0, HERE.students))
    await addAttendanceNote(idAt(now, random), { studentId, ...came }, { ...teacher, now })
  await atOnce(
    enrolled.slice(0, WAIT_MINUTES.length).map(({ id }, n) => () => {
      const since = new Date(Date.now() - WAIT_MINUTES[n]! * 60_000)
      return setReady(idAt(since, random), id, n % 2 === 0 ? 'student' : 'instructor', since)
    }),
  )
}

/** A pad that was saved. */
interface SavedPlate {
  readonly id: string
  readonly studentId: string
  readonly coupon: DemoCoupon
}

/** How many pads a picture was taken of: the newest ones, each of another student. */
const PICTURED = 6
function newestPlates(plates: readonly SavedPlate[]): SavedPlate[] {
  const newest = new Map<string, SavedPlate>()
  for (const plate of plates) {
    const before = newest.get(plate.studentId)
    if (!before || plate.coupon.savedAt > before.coupon.savedAt) newest.set(plate.studentId, plate)
  }
  return [...newest.values()].sort((a, b) => b.coupon.savedAt.getTime() - a.coupon.savedAt.getTime()).slice(0, PICTURED)
}

/** Keeps a made-up picture of a pad. */
async function takePicture({ id: couponId, studentId, coupon }: SavedPlate, name: string, random: Random) {
  const { bytes, ...lies } = couponPhotograph(coupon.document, Math.floor(random.uniform() * 1e6))
  const data = Buffer.from(bytes).toString('base64')
  const picture: PictureSave = { couponId, studentId, side: 'face', state: 'slag off', ...lies, data }
  const kept = await keepPicture(idAt(coupon.savedAt, random), picture, { name, now: coupon.savedAt })
  if (kept !== 'kept') throw new Error(`A picture was not kept: ${kept}`)
}

/** The rod room's lots and its book. */
async function fillRods(enrolled: readonly Enrolled[], now: Date, random: Random, by: { name: string }) {
  const lots = DEMO_LOTS.map(lot => ({ lot, id: idAt(now, random) }))
  for (const { id, lot } of lots) {
    const { came: _, ...fields } = lot
    await keepLot(id, fields, { name: by.name, now })
  }
  const days = enrolled.slice(0, HERE.students).map(({ student }) => demoDays(student.coupons))
  const book = demoBook(days, now, random).map(line => ({ ...line, id: idAt(line.at, random) }))
  for (const { id, lot, said, student, of, at } of book) {
    const studentId = student === null ? null : enrolled[student]!.id
    const handfulId = of === null ? null : book[of]!.id
    await writeMovement(id, { ...said, lotId: lots[lot]!.id, studentId, handfulId }, { name: by.name, now: at })
  }
  for (const { minutes, ...reading } of DEMO_OVENS)
    await noteOven(idAt(now, random), reading, { name: by.name, now: new Date(now.getTime() - minutes * 60_000) })
}

/** How many of the first section are in their booths when the demo opens, and for how many minutes. */
const HERE = { students: 10, minutes: 40 } as const
function cameAt(now: Date): string {
  const came = new Date(now.getTime() - HERE.minutes * 60_000)
  return classDayAt(came, MACHINE_CLOCK) === classDayAt(now, MACHINE_CLOCK) ? wallClockAt(came, '') : '00:00'
}

/** What the instructor of the first section wants to remember of the last evening. */
const REMARKS = [
  { place: 3, booth: null, says: 'left glove wears through at the thumb' },
  { place: null, booth: 7, says: 'lead clamp runs hot: clean it before class' },
] as const

/** What was noted of its last evening: by place on the roster. */
const NOTES = [
  { place: 2, came: '18:25', left: null, absent: false, why: 'the bus' },
  { place: 6, came: null, left: '20:30', absent: false, why: 'early shift' },
] as const
const DEMONSTRATION = { topic: 'Crater and restart, chipped, brushed, once round and go', minutes: 10 }

/** So long have some of the first section waited when the demo opens, as in the middle of a class. */
const WAIT_MINUTES = [14, 9, 6, 2]

/**
 * The instructor's name on every rung that a student has left behind; on the rung of today only the rule decides,
 * and no one has signed yet.
 */
async function signOff(studentId: string, by: string, random: Random): Promise<void> {
  const { climb } = (await progressOf(studentId))!
  const begun = climb.filter(state => state.lastDay !== null)
  const today = begun
    .map(state => state.lastDay!)
    .sort()
    .at(-1)
  for (const state of begun.filter(one => one.lastDay !== today)) {
    const turn = outOfTurn(state)
    const now = new Date(`${state.lastDay}T20:00:00Z`)
    await addSignOff(
      idAt(now, random),
      {
        studentId,
        rungId: state.rungId,
        why:
          turn === 'early'
            ? 'long enough on it; moves on with the class'
            : turn === 'late'
              ? 'signed after the holiday'
              : '',
      },
      { outOfTurn: turn, stood: `${state.says}; ${state.good} of ${state.coupons} coupons good`, by, now },
    )
  }
}

function saving(studentId: string, { document, savedAt }: DemoCoupon, by: { id: string; name: string }, id: string) {
  return () =>
    saveCoupon(id, { baseVersion: 0, why: '', document: { ...document, studentId } }, SCHOOL_RULES, {
      id: by.id,
      name: by.name,
      now: savedAt,
    })
}

/** Codes of the made-up school's students, for the shared tablet: 10 and the booth. */
export const demoCode = (booth: number): string => `10${String(booth).padStart(2, '0')}`

/** A blind reading beside the coupon's own, by chances of its own. */
function reading(couponId: string, { document, savedAt }: DemoCoupon, by: Reader, eye: Eye) {
  const random = seededRandom(savedAt.getTime() % 2 ** 31)
  const id = idAt(savedAt, random)
  return () =>
    keepBlindReading(id, { couponId, stage: 'after chipping', document: readByEye(document, eye, random) }, by, savedAt)
}

/** What a student said in the reading room, from the first coupon to the last; every second student goes there. */
function practising(studentId: string, coupons: readonly DemoCoupon[]) {
  const [first, last] = [coupons[0]!.savedAt, coupons.at(-1)!.savedAt]
  const random = seededRandom(first.getTime() % 2 ** 31)
  return async () => {
    for (const answer of practiceAnswers(first, last, random))
      await keepBeadAnswer(
        idAt(new Date(answer.at), random),
        answer,
        { kind: 'student', id: studentId },
        new Date(answer.at),
      )
  }
}

/** An id made at a moment, by a chance that can be had again. */
function idAt(moment: Date, random: Random): string {
  return uuid({
    msecs: moment.getTime(),
    random: Uint8Array.from({ length: 16 }, () => Math.floor(random.uniform() * 256)),
  })
}

async function atOnce(jobs: readonly (() => Promise<unknown>)[]): Promise<void> {
  let next = 0
  const worker = async () => {
    while (next < jobs.length) await jobs[next++]!()
  }
  await Promise.all(Array.from({ length: AT_ONCE }, worker))
}
