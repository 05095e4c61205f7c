import { addDays, addMonths, addYears, formatISO, parseISO } from 'date-fns'
import type { Clause, FamilyId } from './codeFamily'

/** How a qualification is kept alive: the last day on which it still stands unless the process is used again. */
export interface KeptUntil extends Clause {
  /** Local date, ISO 8601. */
  readonly lastDay: string
  readonly says: string
}

const MONTHS = 6
const day = (date: Date) => formatISO(date, { representation: 'date' })

/**
 * Until when a qualification stands after its process was last used. Six calendar months, the same day or the month's last: "more than six months" in the
 * structural code, "six months or more" in the pressure code, which is a day less.
 * @param lastUsed local date, ISO 8601
 * @example keptUntil('structural', '2026-08-31').lastDay // '2027-02-28'
 */
export function keptUntil(family: FamilyId, lastUsed: string): KeptUntil {
  const sixMonths = addMonths(parseISO(lastUsed), MONTHS)
  switch (family) {
    case 'structural': return { lastDay: day(sixMonths), says: 'lapses when the process is not used for more than six months', clause: '4.2.3.1 (2015), 6.2.3.1 (2020)', remembered: 'sure' }
    case 'pressure': return { lastDay: day(addDays(sixMonths, -1)), says: 'lapses when the process is not used for six months or more', clause: 'QW-322.1(a)', remembered: 'sure' }
    case 'ISO': return { lastDay: day(sixMonths), says: 'confirmed every six months by the employer or coordinator', clause: '9.2', remembered: 'sure' }
    case 'pipeline': return { lastDay: day(sixMonths), says: 'six months by federal pipeline rules, not by the standard itself', clause: '49 CFR 192, 195', remembered: 'check before it decides' }
  }
}

/** When an ISO test is to be taken again: three years after it, whatever was confirmed. @example testedAgainBy('2026-02-28') // '2029-02-28' */
export const testedAgainBy = (testDay: string): string => day(addYears(parseISO(testDay), 3))

/** Days from one local date to another; less than 0 when it is past. Summer time changes nothing: days are counted, not hours. */
export const daysUntil = (today: string, lastDay: string): number => Math.round((Date.parse(`${lastDay}T00:00:00Z`) - Date.parse(`${today}T00:00:00Z`)) / 86_400_000)
