import { expect, it } from 'vitest'
import { firstDaySteps, type SchoolSoFar } from './firstDay'

const EMPTY: SchoolSoFar = { timeZone: '', sections: 0, students: 0, booths: 0, rulesVersions: 1 }
const left = (so: Partial<SchoolSoFar>) =>
  firstDaySteps({ ...EMPTY, ...so })
    .filter(step => !step.done)
    .map(step => step.id)

it('a first day is read off the school: each step is done once what it makes is there', () => {
  expect(left({})).toEqual(['clock', 'class', 'students', 'booths', 'ways'])
  expect(left({ timeZone: 'Europe/Lisbon', sections: 1 })).toEqual(['students', 'booths', 'ways'])
  expect(left({ students: 12 })).not.toContain('students')
  expect(left({ booths: 12 })).not.toContain('booths')
  // The first version of the rules ships: nobody chose it.
  expect(left({ rulesVersions: 2 })).not.toContain('ways')
})
