import { classDayAt, dayNumber } from '../../core/calendar'
import { rungFinder } from '../../core/ladder'
import { rodsAhead, type Climber } from '../../core/rodsAhead'
import { seededRandom } from '../../core/statistics'
import type { StudentFields } from '../../contract/people'
import { BOOK_WEEKS, type RodsAhead } from '../../contract/rodRoom'
import { couponsRun } from './couponsRun'
import { database, rows } from './database'
import { currentRules } from './houseRules'
import { currentLadder, formerLadders } from './ladder'
import { climbsOf } from './progress'
import { findRodRoom } from './rodRoom'
import { schoolClock } from './school'

const A_WEEK_MS = 7 * 24 * 3_600_000

/** What the school's students will use of each kind of rod, for as long as the house wants its rods to last. */
export async function findRodsAhead(now: Date): Promise<RodsAhead> {
  const [{ ladder }, former, { rules }, clock, room, runs, climbers] = await Promise.all([
    currentLadder(),
    formerLadders(),
    currentRules(),
    schoolClock(),
    findRodRoom(null, now),
    couponsRun(null),
    climbersNow(),
  ])
  const dayOf = (moment: string) => classDayAt(new Date(moment), clock)
  const find = rungFinder(ladder, former)
  const first = room.movements[0]?.at
  const weeksKept = first ? Math.min(BOOK_WEEKS, Math.floor((now.getTime() - Date.parse(first)) / A_WEEK_MS)) : 0
  const use = rodsAhead(
    {
      ladder,
      rungOf: rung => find({ rung }),
      climbers,
      rules,
      lots: room.lots,
      movements: room.movements,
      runs,
      weeksKept,
      now,
      dayOf,
      weeksAhead: rules.rodsLastDays / 7,
    },
    // The same all day, whoever asks.
    seededRandom(dayNumber(dayOf(now.toISOString()))),
  )
  return [...use].map(([kind, coming]) => ({ kind, ...coming }))
}

/** All who are here, where they stand on the ladder, and until when their term goes. */
async function climbersNow(): Promise<Climber[]> {
  const students = await rows<{ id: string; hand: StudentFields['hand']; term_to: string }>(
    database(),
    'SELECT student.id, hand, term_to FROM student JOIN section ON section.id = section_id WHERE student.active',
  )
  const climbs = await climbsOf(students.map(({ id }) => id))
  return students.map(({ id, hand, term_to }) => ({ studentId: id, hand, climb: climbs.get(id)!, until: term_to }))
}
