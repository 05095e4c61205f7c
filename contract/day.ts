import { boolean, number, object, string } from 'yup'
import { misNoted, type Attendance, type AttendanceNote, type DayMeeting, type WrongMost } from '../core/floor'
import type { Caution } from '../core/trade'
import { across, day, label, typed, uuid } from './fields'

export const MOST_WHY = 120

/** Stands for the time on the shop's wall when the note arrives: a tablet's own clock may be an hour wrong. */
export const NOW = 'now'

/** The body of `PUT /api/attendance/:id`: what is noted of a student's day. The newest note stands. */
export interface AttendanceSave extends AttendanceNote {
  readonly studentId: string
  readonly classDay: string
}

const noted = () =>
  string()
    .strict()
    .nullable()
    .defined('${path} is missing: null where nobody said when')
    .matches(/^(([01]\d|2[0-3]):[0-5]\d|now)$/, '${path} is a time like 18:30')

export const attendanceSchema = across(
  object({
    studentId: uuid().required('${path} is missing'),
    classDay: day().required('${path} is missing'),
    came: noted(),
    left: noted(),
    absent: boolean().strict().required('${path} is missing'),
    why: typed().defined('${path} is missing').max(MOST_WHY, `\${path} is at most ${MOST_WHY} characters`),
  }).exact(),
  note => {
    const wrong = misNoted(note as AttendanceNote)
    return wrong && { path: wrong.path, message: wrong.says }
  },
)

/** The body of `PUT /api/demonstrations/:id`: something was shown to those who were there. */
export interface DemonstrationSave {
  readonly sectionId: string
  readonly classDay: string
  readonly topic: string
  readonly minutes: number
  /** How many saw it. */
  readonly students: number
}

export const demonstrationSchema = object({
  sectionId: uuid().required('${path} is missing'),
  classDay: day().required('${path} is missing'),
  topic: label(200).label('What was shown'),
  minutes: number()
    .strict()
    .required('${path} is missing')
    .integer('${path} is a whole number of minutes')
    .min(1, '${path} is at least 1 minute')
    .max(600, '${path} is at most 600 minutes'),
  students: number()
    .strict()
    .required('${path} is missing')
    .integer('${path} is a whole number')
    .min(0, '${path} is 0 or more')
    .max(500, '${path} is at most 500'),
}).exact()

/** A demonstration as it was given. */
export interface Demonstration extends DemonstrationSave {
  readonly id: string
  readonly by: string
}

/** A student on a class day. */
export interface DayStudent {
  readonly id: string
  readonly name: string
  readonly booth: number | null
  readonly attendance: Attendance
  /** What was noted, with who noted it and when (ISO 8601); null where it was not noted. */
  readonly note: (AttendanceNote & { readonly by: string; readonly at: string }) | null
  /** What was planned for that day, in the order of its hours, on the shop's wall. */
  readonly planned: readonly { readonly at: string; readonly rung: string; readonly booth: number }[]
  /** Cautions that the student has not said were read; none where the house does not ask. */
  readonly cautionsLeft: number
  /** Coupons read that day. */
  readonly coupons: number
  readonly arcMinutes: number
}

/** A section's class day. */
export interface SectionDay {
  readonly classDay: string
  readonly section: string
  /** Null where the section does not meet that day. */
  readonly meeting: DayMeeting | null
  /** What the day is free for; null where it is no day off. */
  readonly dayOff: string | null
  /** The class days before and after it on which the section meets; null where the term has none. */
  readonly before: string | null
  readonly after: string | null
  readonly students: readonly DayStudent[]
  readonly demonstrations: readonly Demonstration[]
  /** What this section got wrong most that day; null where nothing was. */
  readonly wrongMost: WrongMost | null
  /** What a class like this one calls for. */
  readonly cautions: readonly Caution[]
}
