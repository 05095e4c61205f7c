import { straysOfSchool } from '../../core/readiness'
import { rodsAhead } from '../../core/rodsAhead'
import { seededRandom } from '../../core/statistics'
import { ownBlindReadings, readersAgreement } from '../store/blindReadings'
import { hoursOf } from '../store/boothTime'
import { dayToPlan } from '../store/dayPlan'
import { studentPace } from '../store/pace'
import { exportPerson } from '../store/personExport'
import { boardOf, progressOf } from '../store/progress'
import { reportOf } from '../store/report'
import { findRodsUsed } from '../store/rodBook'
import { findRodsAhead } from '../store/rodsAhead'
import { sectionDay } from '../store/sectionDay'
import { testBay } from '../store/welderTests'
import { testsKnown } from '../store/testOutcomes'

type Taught = readonly string[] | null
interface Of {
  readonly id: string
}
interface OnDay extends Of {
  readonly day: string
}

/** Answers that take more than a moment to reckon, each as the JSON that is sent; `null` where there is none. */
const answer =
  <Asked>(work: (asked: Asked) => unknown) =>
  async (asked: Asked): Promise<string> =>
    JSON.stringify(await work(asked))

export const ofAgreement = answer((me: { id: string; sectionIds: Taught }) => readersAgreement(me))
export const ofBoard = answer(({ id }: Of) => boardOf(id))
export const ofDay = answer(({ id, day }: OnDay) => sectionDay(id, day, new Date()))
export const ofDayToPlan = answer(({ id, day }: OnDay) => dayToPlan(id, day))
export const ofExport = answer(({ id }: Of) => exportPerson(id, new Date()))
export const ofHours = answer(({ id }: Of) => hoursOf(id, new Date()))
export const ofOwnReadings = answer(({ id }: Of) => ownBlindReadings(id))
export const ofPace = answer(({ id }: Of) => studentPace(id, new Date()))
export const ofProgress = answer(({ id }: Of) => progressOf(id))
export const ofReport = answer(({ id }: Of) => reportOf(id))
export const ofRodsAhead = answer(() =>
  findRodsAhead(new Date(), (wanted, seed) => rodsAhead(wanted, seededRandom(seed))),
)
export const ofRodsUsed = answer(({ taught }: { taught: Taught }) => findRodsUsed(taught))
export const ofStrays = answer(async () => straysOfSchool((await testsKnown()).recalibration))
export const ofTests = answer((of: Parameters<typeof testBay>[0]) => testBay(of))
