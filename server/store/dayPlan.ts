import { dayOffOn, type ClassDay } from '../../core/calendar'
import { ALL_MEANS, meetingOn } from '../../core/floor'
import type { PlanBooth } from '../../core/dayPlan'
import { kindOf } from '../../core/rodRoom'
import type { PieceKind } from '../../core/trade'
import type { DayPlan, DayPlanSave, DayPlanVersion, DayToPlan } from '../../contract/dayPlan'
import type { Student } from '../../contract/people'
import { daysKnown } from './attendance'
import { database, rows } from './database'
import { progressOfAll } from './progress'
import { rodsInStore } from './rodRoom'
import { schoolClock } from './school'
import { findSection } from './sections'
import { currentShop, openFaults } from './shop'
import { listStudents } from './students'
import { DAY_PLAN, keepVersion, newestVersion, type KeptVersion } from './versioned'

const toPlan = ({ version, content, saved }: KeptVersion<DayPlan>): DayPlanVersion => ({
  version,
  plan: content,
  saved: { at: saved.at, by: saved.by },
})

/** The plan of a section's day that stands. */
export async function dayPlanOf(sectionId: string, classDay: ClassDay): Promise<DayPlanVersion> {
  const kept = await newestVersion<DayPlan>(DAY_PLAN, [sectionId, classDay])
  return kept ? toPlan(kept) : { version: 0, plan: null, saved: null }
}

/** All that a section's day is planned from; null where there is no such section. */
export async function dayToPlan(sectionId: string, classDay: ClassDay): Promise<DayToPlan | null> {
  const section = await findSection(sectionId)
  if (!section) return null
  const students = (await listStudents(sectionId)).filter(student => student.active)
  const ids = students.map(student => student.id)
  const clock = await schoolClock()
  const [kept, progress, known, booths, store, welded] = await Promise.all([
    dayPlanOf(sectionId, classDay),
    progressOfAll(students),
    daysKnown(ids, { from: classDay, to: classDay, clock }),
    boothsInUse(students),
    rodsInStore(),
    weldedBefore(sectionId, classDay),
  ])
  const [first] = progress
  return {
    classDay,
    meeting: meetingOn(section, classDay, clock.turnsAt),
    dayOff: dayOffOn(section.daysOff, classDay)?.name ?? null,
    kept,
    students: progress.map(({ ladder: _, curves: __, school: ___, ...own }) => ({
      ...own,
      absent: known.get(own.student.id)!.get(classDay)?.note?.absent ?? false,
    })),
    common: first ? { ladder: first.ladder, curves: first.curves, school: first.school } : null,
    booths,
    rods: Object.fromEntries(store.map(({ rods: count, ...lot }) => [kindOf(lot), count])),
    welded,
  }
}

/** How many pieces of each kind a section welded on its newest class day before a day. */
async function weldedBefore(sectionId: string, classDay: ClassDay): Promise<DayToPlan['welded']> {
  const found = await rows<{ piece: PieceKind; pieces: number }>(
    database(),
    `SELECT JSON_VALUE(document, '$.piece.kind') AS piece, COUNT(*) AS pieces
    FROM coupon JOIN student ON student.id = student_id
    WHERE section_id = ? AND class_day = (
      SELECT MAX(class_day) FROM coupon JOIN student ON student.id = student_id WHERE section_id = ? AND class_day < ?)
    GROUP BY piece ORDER BY pieces DESC`,
    [sectionId, sectionId, classDay],
  )
  return Object.fromEntries(found.map(row => [row.piece, Number(row.pieces)]))
}

/** Booths of the shop as it is laid out, else those that the class has; without what is out of service. */
async function boothsInUse(students: readonly Student[]): Promise<PlanBooth[]> {
  const [{ plan }, faults] = await Promise.all([currentShop(), openFaults()])
  const laidOut = plan?.rooms.flatMap(room =>
    room.fixtures.flatMap(({ booth, means }) => (booth === null ? [] : [{ booth, means: means ?? ALL_MEANS }])),
  )
  const own = [...new Set(students.flatMap(student => student.booth ?? []))]
  const all = laidOut ?? own.map(booth => ({ booth, means: ALL_MEANS }))
  return all.filter(({ booth }) => !faults.some(fault => fault.booth === booth)).sort((a, b) => a.booth - b.booth)
}

/** Keeps a day's plan; null when a newer one is kept already. */
export async function keepDayPlan(
  sectionId: string,
  { classDay, baseVersion, plan }: DayPlanSave,
  by: { readonly name: string; readonly now: Date },
): Promise<DayPlanVersion | null> {
  const saver = { by: by.name, why: 'planned', now: by.now }
  const kept = await keepVersion<DayPlan>(DAY_PLAN, { key: [sectionId, classDay], baseVersion, content: plan }, saver)
  return kept ? toPlan(kept) : null
}
