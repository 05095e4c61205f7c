import { wallAfter } from '../../core/calendar'
import type { Ladder } from '../../core/ladder'
import type { DayStudent } from '../../contract/day'
import type { DayPlan } from '../../contract/dayPlan'

/** What a plan has a student run, in the order of its hours; a rung that the ladder no longer has keeps its id. */
export const plannedFor = (studentId: string, plan: DayPlan | null, { rungs }: Ladder): DayStudent['planned'] =>
  (plan?.lines ?? [])
    .filter(line => line.studentId === studentId)
    .sort((a, b) => a.from - b.from)
    .map(({ rungId, booth, from }) => ({
      at: wallAfter(plan!.from, from),
      rung: rungs.find(rung => rung.id === rungId)?.name ?? rungId,
      booth,
    }))
