import { classDayAt, dayNumber } from '../../core/calendar'
import { meetingDays } from '../../core/floor'
import type { ComingUse } from '../../core/rodRoom'
import type { Climber, RodsAheadCase } from '../../core/rodsAhead'
import type { StudentFields } from '../../contract/people'
import { BOOK_WEEKS, type RodsAhead } from '../../contract/rodRoom'
import { couponsRun } from './couponsRun'
import { database, rows } from './database'
import { currentRules } from './houseRules'
import { currentLadder, formerLadders } from './ladder'
import { climbsOf } from './progress'
import { bookOfWeeks } from './rodBook'
import { allLots } from './rodRoom'
import { schoolClock } from './school'
import { listSections } from './sections'

const A_WEEK_MS = 7 * 24 * 3_600_000

/** Reckons what is used, from a case and the seed of its day. */
type ReckonRods = (wanted: RodsAheadCase, seed: number) => ReadonlyMap<string, ComingUse>

/** What the school's students will use of each kind of rod, for as long as the house wants its rods to last. */
export async function findRodsAhead(now: Date, reckon: ReckonRods): Promise<RodsAhead> {
  const [{ ladder }, former, { rules }, clock, lots, movements, runs, climbers] = await Promise.all([
    currentLadder(),
    formerLadders(),
    currentRules(),
    schoolClock(),
    allLots(),
    bookOfWeeks(),
    couponsRun(null),
    climbersNow(),
  ])
  const first = movements[0]?.at
  const weeksKept = first ? Math.min(BOOK_WEEKS, Math.floor((now.getTime() - Date.parse(first)) / A_WEEK_MS)) : 0
  const weeksAhead = rules.rodsLastDays / 7
  const wanted = { ladder, former, climbers, rules, lots, movements, runs, weeksKept, now, clock, weeksAhead }
  // The same all day, for all who ask.
  const use = reckon(wanted, dayNumber(classDayAt(now, clock)))
  return [...use].map(([kind, coming]) => ({ kind, ...coming }))
}

/** All who are here, where they stand on the ladder, and until when their term goes. */
async function climbersNow(): Promise<Climber[]> {
  const students = await rows<{ id: string; hand: StudentFields['hand']; section_id: string }>(
    database(),
    'SELECT id, hand, section_id FROM student WHERE active',
  )
  const climbers: Climber[] = []
  // One section after the other, with the database between them: the server answers others meanwhile.
  for (const { id: sectionId, termTo: until, daysOff, ...section } of await listSections(null)) {
    const own = students.filter(student => student.section_id === sectionId)
    if (own.length === 0) continue
    const week = { weekdays: meetingDays(section), daysOff }
    const climbs = await climbsOf(own.map(({ id }) => id))
    for (const { id, hand } of own) climbers.push({ studentId: id, hand, climb: climbs.get(id)!, until, week })
  }
  return climbers
}
