import { number, object } from 'yup'
import type { HoursToward, HoursWanted, PositionTime } from '../core/floor'
import { POSITIONS } from '../core/trade'
import { across, list, oneOf } from './fields'

/** What hours can be asked of: all work, or a position. */
export const HOURS_OF: readonly HoursWanted['of'][] = ['all work', ...POSITIONS.map(position => position.id)]
export const MOST_HOURS = 2000

const wanted = object({
  of: oneOf(HOURS_OF, 'work'),
  hours: number()
    .strict()
    .required('${path} is missing')
    .min(1, '${path} is at least 1 hour')
    .max(MOST_HOURS, `\${path} is at most ${MOST_HOURS} hours`),
}).exact()

/** The body of `PUT /api/school/programme`: none where the list is empty. */
export const programmeSchema = across(
  object({
    wanted: list<HoursWanted>(wanted as never, HOURS_OF.length, 'Each position once at most'),
  }).exact(),
  ({ wanted: hours }) => {
    const named = hours.map(one => one.of)
    const twice = named.find((of, n) => named.indexOf(of) !== n)
    return twice === undefined ? null : { path: 'wanted', message: `${twice} stands twice` }
  },
)

/** A student's time this term. */
export interface StudentHours {
  readonly days: number
  /** In the booth on those days. */
  readonly boothMinutes: number
  readonly positions: readonly PositionTime[]
  readonly programme: readonly HoursToward[]
}
