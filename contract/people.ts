import { isTimeZone, LATEST_TURN, type DaysOff } from '../core/calendar'
import { array, boolean, object, string } from 'yup'
import type { CouponDocument, Hand, RunAgain, Verdict } from '../core/coupon'
import { meetingFits } from '../core/floor'
import { across, boothNumber, capped, day, label, list, timeOfDay, typed, uuid, wholeNumber } from './fields'

export type Role = 'lead' | 'instructor' | 'student'

export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const
export type Weekday = (typeof WEEKDAYS)[number]

export interface Meeting {
  readonly weekday: Weekday
  readonly from: string
  readonly to: string
}

export interface SectionFields {
  readonly name: string
  readonly meetings: readonly Meeting[]
  readonly termFrom: string
  readonly termTo: string
}

export interface Section extends SectionFields {
  readonly id: string
  /** The days on which it has no class: the school's, and its own. */
  readonly daysOff: readonly DaysOff[]
  readonly students: number
}

export const sectionSchema = across(
  object({
    name: label(80),
    meetings: list(
      across(
        object({
          weekday: string<Weekday>()
            .strict()
            .required()
            .oneOf([...WEEKDAYS], '${path} is one of Mon to Sun'),
          from: timeOfDay().required('${path} is missing'),
          to: timeOfDay().required('${path} is missing'),
        })
          .exact()
          .required(),
        meeting =>
          meetingFits(meeting)
            ? null
            : { path: 'to', message: 'A meeting ends after it begins, on the same class day' },
      ),
      14,
      'A section meets at most 14 times a week',
    ),
    termFrom: day().required('${path} is missing'),
    termTo: day().required('${path} is missing'),
  }).exact(),
  ({ termFrom, termTo }) => (termTo > termFrom ? null : { path: 'termTo', message: 'The term ends after it begins' }),
)

export interface StudentFields {
  readonly name: string
  readonly hand: Hand
  readonly sectionId: string
  readonly startDate: string
  readonly booth: number | null
  readonly active: boolean
}

export interface Student extends StudentFields {
  readonly id: string
}

const hand = () =>
  string<Hand>().strict().required('${path} is missing').oneOf(['right', 'left'], '${path} is right or left')
const booth = () => boothNumber().nullable().defined()

export const studentSchema = object({
  name: label(80),
  hand: hand(),
  sectionId: uuid().required('${path} is missing'),
  startDate: day().required('${path} is missing'),
  booth: booth(),
  active: boolean().strict().required(),
}).exact()

/** Something of a student on a roster that stands on an earlier line already. */
export interface RosterRepeat {
  readonly index: number
  readonly field: 'name' | 'booth'
  readonly message: string
}

const oneSpaced = (name: string) => name.trim().replace(/\s+/g, ' ')

/** Who stands on a roster twice, and which booth is given to two; each on its later line. */
export function rosterRepeats(
  students: readonly { readonly name: string; readonly booth: number | null }[],
): RosterRepeat[] {
  const names = students.map(student => oneSpaced(student.name).toLowerCase())
  const booths = students.map(student => student.booth)
  return students.flatMap(({ name, booth }, index) => {
    const found: RosterRepeat[] = []
    if (names[index] !== '' && names.indexOf(names[index]!) < index)
      found.push({
        index,
        field: 'name',
        message: `${oneSpaced(name)} stands on the list twice: leave one out, or tell them apart`,
      })
    if (Number.isInteger(booth) && booths.indexOf(booth) < index)
      found.push({ index, field: 'booth', message: `booth ${booth} is given to two: one of them stands elsewhere` })
    return found
  })
}

/** Students read from a file; all go in or none. */
export const rosterImportSchema = across(
  object({
    sectionId: uuid().required('${path} is missing'),
    students: list(
      object({ name: label(80), hand: hand(), startDate: day().required('${path} is missing'), booth: booth() })
        .exact()
        .required(),
      500,
      'At most 500 students at a time',
      'There is nobody to import',
    ),
  }).exact(),
  ({ students }) => {
    const [first] = rosterRepeats(students)
    return first ? { path: `students[${first.index}].${first.field}`, message: first.message } : null
  },
)

export interface RosterImport {
  readonly sectionId: string
  readonly students: readonly Pick<StudentFields, 'name' | 'hand' | 'startDate' | 'booth'>[]
}

const PASSWORD_LEAST = 10

const username = () =>
  typed()
    .transform((value: unknown) => (typeof value === 'string' ? value.toLowerCase() : value))
    .required('${path} is missing')
    .matches(/^[a-z0-9][a-z0-9._-]{1,39}$/, '${path} is 2 to 40 letters, digits, dots or dashes')
const password = () =>
  string()
    .strict()
    .required('${path} is missing')
    .min(PASSWORD_LEAST, `\${path} is at least ${PASSWORD_LEAST} characters`)
    .max(200, '${path} is at most 200 characters')

export const signInSchema = object({
  username: typed()
    .transform((value: unknown) => (typeof value === 'string' ? value.toLowerCase() : value))
    .required('Type your user name')
    .max(80, 'That user name is too long'),
  password: string().strict().required('Type your password').max(200, 'That password is too long'),
  /** A one-time code or a recovery code, where the account asks for one. */
  code: typed().max(20, 'That code is too long').optional(),
}).exact()

/** The first lead instructor of a new school. */
export const firstLeadSchema = object({
  school: label(80),
  name: label(80),
  username: username(),
  password: password(),
}).exact()

export interface AccountFields {
  readonly name: string
  readonly username: string
  readonly role: Role
  readonly studentId: string | null
  /** The sections that an instructor teaches and sees; null for all of them. */
  readonly sectionIds: readonly string[] | null
  readonly active: boolean
}

export interface Account extends AccountFields {
  readonly id: string
  /** It signs in with one-time codes. */
  readonly codes: boolean
}

const accountShape = {
  name: label(80),
  username: username(),
  role: string<Role>()
    .strict()
    .required('${path} is missing')
    .oneOf(['lead', 'instructor', 'student'], '${path} is lead, instructor or student'),
  studentId: uuid().nullable().defined(),
  sectionIds: capped(
    array(uuid().required('${path} is missing'))
      .strict()
      .nullable()
      .defined('${path} is missing: null for all sections'),
    200,
    'At most 200 sections',
  ),
  active: boolean().strict().required(),
}
/** The body of `PUT /api/session/password`: one's own, held against the one before. */
export interface OwnPassword {
  readonly current: string
  readonly next: string
}
export const ownPasswordSchema = across(
  object({
    current: string().strict().required('Type the password you have').max(200, 'That password is too long'),
    next: password().label('The new password'),
  }).exact(),
  ({ current, next }) => (next === current ? { path: 'next', message: 'The new password is the old one' } : null),
)

/** A student's account has its student; only an instructor's is tied to sections. */
function tieFault({ role, studentId, sectionIds }: Pick<AccountFields, 'role' | 'studentId' | 'sectionIds'>) {
  if ((role === 'student') !== (studentId !== null))
    return { path: 'studentId', message: 'Choose the student whose account this is' }
  return sectionIds !== null && role !== 'instructor'
    ? { path: 'sectionIds', message: 'Only an instructor is tied to sections: a lead teaches all' }
    : null
}

export const newAccountSchema = across(object({ ...accountShape, password: password() }).exact(), tieFault)
export const accountSchema = across(object({ ...accountShape, password: password().optional() }).exact(), tieFault)

/** Who is signed in. */
export interface Me {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly studentId: string | null
  /** The sections that an instructor teaches and sees; null for all of them. */
  readonly sectionIds: readonly string[] | null
  /** Where the school stands, IANA; empty where it has not said. */
  readonly timeZone: string
  /** The hour on the wall at which its class days begin. */
  readonly dayTurnsAt: number
  /** The password was given by a lead: it is changed before anything else is done. */
  readonly passwordGiven: boolean
  /** The school wants one-time codes of its staff, and this sign-in has none: they are set up before anything else. */
  readonly codesWanted: boolean
  /** The school wants one-time codes of its staff. */
  readonly staffCodes: boolean
  /** Minutes after which a screen that is not touched is signed out; null for never. */
  readonly idleMinutes: number | null
}

/** The body of `PUT /api/school`: where the school stands, and at which hour on its wall a class day begins. */
export interface SchoolPlace {
  readonly timeZone: string
  readonly dayTurnsAt: number
}
export const schoolPlaceSchema = object({
  timeZone: string()
    .strict()
    .required('Say in which time zone the school stands')
    .max(64, 'A time zone has at most 64 letters')
    .test('zone', '${value} is no time zone that is known, like Europe/Lisbon', value => isTimeZone(value ?? '')),
  dayTurnsAt: wholeNumber('the hour at which a class day begins', 0, LATEST_TURN).required('${path} is missing'),
}).exact()

/** What `GET /api/school` answers a lead. */
export interface SchoolState {
  /** When the last good backup was made, ISO 8601; null where none was. */
  readonly lastBackup: string | null
}

/** A student on the floor: who, where, and how the last coupon came out. */
export interface FloorStudent extends Student {
  readonly last:
    | null
    | (RunAgain & {
        readonly couponId: string
        readonly classDay: string
        readonly savedAt: string
        readonly verdict: Verdict
        readonly nextRun: string
        /** The cause that it would put right, by its id; null where it was said for none. */
        readonly toldCause: string | null
      })
  /**
   * The coupon that the student has read already and that waits for the instructor, as it lies, without the
   * student's marks.
   */
  readonly selfRead: null | { readonly couponId: string; readonly document: CouponDocument }
}
