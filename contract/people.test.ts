import { describe, expect, it } from 'vitest'
import type { ValidationError, Schema } from 'yup'
import {
  accountSchema,
  firstLeadSchema,
  newAccountSchema,
  rosterImportSchema,
  sectionSchema,
  signInSchema,
  studentSchema,
} from './people'

function wrong(schema: Schema, value: unknown): string[] {
  try {
    schema.validateSync(value, { abortEarly: false })
    return []
  } catch (error) {
    return (error as ValidationError).inner.map(one => one.path ?? '').sort()
  }
}
const SECTION_ID = '01900000-0000-7000-8000-000000000001'

describe('a section', () => {
  const section = {
    name: 'Evening A',
    meetings: [{ weekday: 'Mon', from: '18:00', to: '21:30' }],
    termFrom: '2026-09-01',
    termTo: '2026-12-18',
  }
  it('is taken as it should be', () => expect(wrong(sectionSchema, section)).toEqual([]))
  it.each([
    ['no name', { name: '  ' }, ['name']],
    [
      'a weekday nobody has',
      { meetings: [{ weekday: 'Funday', from: '18:00', to: '19:00' }] },
      ['meetings[0].weekday'],
    ],
    [
      'a time that is none',
      { meetings: [{ weekday: 'Mon', from: '25:00', to: '26:00' }] },
      ['meetings[0].from', 'meetings[0].to'],
    ],
    ['a meeting of no length', { meetings: [{ weekday: 'Mon', from: '18:00', to: '18:00' }] }, ['meetings[0].to']],
    ['a term turned round', { termTo: '2026-08-01' }, ['termTo']],
    ['a day that is not', { termFrom: '2026-02-30' }, ['termFrom']],
    ['a leap day in a plain year', { termFrom: '2025-02-29' }, ['termFrom']],
    ['meetings that are no list', { meetings: 'Mon' }, ['meetings']],
  ])('refuses %s', (_, change, paths) => expect(wrong(sectionSchema, { ...section, ...change })).toEqual(paths))
  it('knows a leap day', () => expect(wrong(sectionSchema, { ...section, termFrom: '2024-02-29' })).toEqual([]))
})

describe('a student', () => {
  const student = {
    name: 'Oriel Tamsin',
    hand: 'left',
    sectionId: SECTION_ID,
    startDate: '2026-09-01',
    booth: null,
    active: true,
  }
  it.each(['Zoë', '溶接 太郎', 'Wren 🔧', "O'Brae-Núñez"])('may be called %s', name =>
    expect(wrong(studentSchema, { ...student, name })).toEqual([]),
  )
  it('loses the blanks around a name', () =>
    expect(studentSchema.validateSync({ ...student, name: '  Oriel ' }).name).toBe('Oriel'))
  it.each([
    ['a name of 81 letters', { name: 'x'.repeat(81) }, ['name']],
    ['a tab in a name', { name: 'a\tb' }, ['name']],
    ['both hands', { hand: 'both' }, ['hand']],
    ['booth 0', { booth: 0 }, ['booth']],
    ['half a booth', { booth: 1.5 }, ['booth']],
    ['a section id that is none', { sectionId: 'A' }, ['sectionId']],
    ['a start in 1826', { startDate: '1826-05-01' }, ['startDate']],
    ['a start written another way', { startDate: '5/1/2026' }, ['startDate']],
    ['active as a word', { active: 'yes' }, ['active']],
  ])('refuses %s', (_, change, paths) => expect(wrong(studentSchema, { ...student, ...change })).toEqual(paths))
})

describe('a roster', () => {
  it('names the line and the column that is wrong', () => {
    const students = [
      { name: 'A', hand: 'left', startDate: '2026-09-01', booth: null },
      { name: 'B', hand: 'up', startDate: '2026-09-01', booth: null },
    ]
    expect(wrong(rosterImportSchema, { sectionId: SECTION_ID, students })).toEqual(['students[1].hand'])
  })
  it('is not empty and not endless', () => {
    const one = { name: 'A', hand: 'left', startDate: '2026-09-01', booth: null }
    expect(wrong(rosterImportSchema, { sectionId: SECTION_ID, students: [] })).toEqual(['students'])
    expect(
      wrong(rosterImportSchema, { sectionId: SECTION_ID, students: Array.from({ length: 501 }, () => one) }),
    ).toEqual(['students'])
  })
})

describe('accounts and sign-in', () => {
  const account = {
    name: 'Maren Holt',
    username: 'maren',
    role: 'lead',
    studentId: null,
    sectionIds: null,
    active: true,
  }
  it('need a password of ten characters when they are new, and none when they change', () => {
    expect(wrong(newAccountSchema, { ...account, password: 'too short' })).toEqual(['password'])
    expect(wrong(newAccountSchema, account)).toEqual(['password'])
    expect(wrong(accountSchema, account)).toEqual([])
    expect(wrong(accountSchema, { ...account, password: 'short' })).toEqual(['password'])
  })
  it('have user names in small letters', () => {
    expect(
      newAccountSchema.validateSync({ ...account, username: ' Maren ', password: 'long enough to use' }).username,
    ).toBe('maren')
    for (const username of ['m', 'ma ren', '-maren', 'marén', 'x'.repeat(41)])
      expect(wrong(accountSchema, { ...account, username })).toEqual(['username'])
  })
  it('go with a student when they are a student’s, and only then', () => {
    expect(wrong(accountSchema, { ...account, role: 'student' })).toEqual(['studentId'])
    expect(wrong(accountSchema, { ...account, studentId: SECTION_ID })).toEqual(['studentId'])
    expect(wrong(accountSchema, { ...account, role: 'student', studentId: SECTION_ID })).toEqual([])
    expect(wrong(accountSchema, { ...account, role: 'head' })).toEqual(['role'])
  })
  it('say what to type', () => {
    expect(() => signInSchema.validateSync({ username: '', password: 'x' })).toThrow('Type your user name')
    expect(wrong(firstLeadSchema, {})).toEqual(['name', 'password', 'school', 'username'])
  })
})
