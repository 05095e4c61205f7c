import type { SectionFields } from '../../contract/people'
import { meetingFits } from '../../core/floor'
import { schoolClock } from '../store/school'
import { wrongField } from './refuse'

/** Refuses a meeting that would end on another class day: the school says first when its class days begin. */
export async function mustFitClassDay({ meetings }: SectionFields): Promise<void> {
  const { turnsAt } = await schoolClock()
  const at = meetings.findIndex(meeting => !meetingFits(meeting, turnsAt))
  if (at < 0) return
  const says =
    turnsAt === 0
      ? 'A class that goes on past midnight: say first, in House > People, that class days begin later'
      : `A class day begins at ${turnsAt}:00 here (House > People): the class ends before the next begins`
  throw wrongField(`meetings[${at}].to`, says)
}
