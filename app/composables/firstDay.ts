/** What a school has of what it needs before the first coupon is read. */
export interface SchoolSoFar {
  readonly timeZone: string
  readonly sections: number
  readonly students: number
  /** Booths that are laid out. */
  readonly booths: number
  /** Versions of the house rules; the first ships with the application. */
  readonly rulesVersions: number
}

/** The steps of a school's first day, in order: what each is called, why it is done, and when it is. */
const FIRST_DAY = [
  {
    id: 'clock',
    name: 'Where the school stands',
    why: 'A class day begins at midnight there, whatever a tablet thinks.',
    done: (so: SchoolSoFar) => so.timeZone !== '',
  },
  {
    id: 'class',
    name: 'The first class',
    why: 'A name, its evenings and its term. More classes come under House.',
    done: (so: SchoolSoFar) => so.sections > 0,
  },
  {
    id: 'students',
    name: 'Who is in it',
    why: 'Paste the list you have; the columns are matched, and shown before anybody goes in.',
    done: (so: SchoolSoFar) => so.students > 0,
  },
  {
    id: 'booths',
    name: 'The booths',
    why: 'So that the Floor is drawn as you see it from the door.',
    done: (so: SchoolSoFar) => so.booths > 0,
  },
  {
    id: 'ways',
    name: 'How this house teaches',
    why: 'Good welders differ. Choose what is nearest; every line can be changed later under House, Rules.',
    done: (so: SchoolSoFar) => so.rulesVersions > 1,
  },
] as const

export type FirstStepId = (typeof FIRST_DAY)[number]['id']

/**
 * The steps with what is done, read off the school itself: left at any step, it is taken up where it was.
 * @example firstDaySteps(school).find(step => !step.done)?.id // 'students'
 */
export const firstDaySteps = (so: SchoolSoFar) => FIRST_DAY.map(step => ({ ...step, done: step.done(so) }))
