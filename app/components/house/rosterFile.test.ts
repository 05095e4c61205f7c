import { describe, expect, it } from 'vitest'
import { checkedLines, matchColumns, readTable, rosterLines } from './rosterFile'

const START = '2026-09-14'
const read = (text: string) => {
  const table = readTable(text)!
  return rosterLines(table, matchColumns(table), START)
}
const students = (text: string) => read(text).map(line => line.student)

describe('a list of people', () => {
  it('names, hands, starts and booths; what is not given is right-handed from today', () => {
    const lines = read('Name,Hand,Start,Booth\nDario Venn,left,2026-09-01,4\nNoor Haddix,,,\n')
    expect(lines.map(line => line.student)).toEqual([
      { name: 'Dario Venn', hand: 'left', startDate: '2026-09-01', booth: 4 },
      { name: 'Noor Haddix', hand: 'right', startDate: START, booth: null },
    ])
    expect(lines.every(line => line.errors.length === 0)).toBe(true)
  })

  it('as a college calls its columns, in any order, with others between', () => {
    expect(
      students('Student ID;Surname;Given name;E-mail;Bay;Handedness\n4711;Venn;Dario;d@x.example;booth 7;L\n'),
    ).toEqual([{ name: 'Dario Venn', hand: 'left', startDate: START, booth: 7 }])
  })

  it('pasted from a spreadsheet, by tabs', () => {
    expect(
      students('Learner\tEnrolled\nNoor Haddix\t1 Sep 2026\nDario Venn\t14.09.2026\n').map(one => one.startDate),
    ).toEqual(['2026-09-01', '2026-09-14'])
  })

  it('names alone, without a first line that names them', () => {
    expect(students('Dario Venn\nNoor Haddix\n\n').map(one => one.name)).toEqual(['Dario Venn', 'Noor Haddix'])
    expect(readTable('Dario Venn\nNoor Haddix')!.columns).toEqual(['Column 1'])
  })

  it('a comma in a name that is quoted, and a byte order mark', () => {
    expect(students('\uFEFFname;hand\n"Venn, Dario";right')[0]!.name).toBe('Venn, Dario')
  })

  it('a day that can be read two ways is not guessed at', () => {
    const start = (written: string) => read(`name,start\nA Person,${written}`)[0]!
    expect(start('9/14/2026').student.startDate).toBe('2026-09-14')
    expect(start('14/9/2026').student.startDate).toBe('2026-09-14')
    expect(start('3/4/2026').errors[0]).toMatch(/^start is a date like/)
    expect(start('"Sep 1, 2026"').student.startDate).toBe('2026-09-01')
  })

  it('says what is wrong, by line', () => {
    const lines = read('name,hand,start,booth\nA,both,2026-09-01,1\n,left,1826-01-01,x\nOk Person,right,,')
    expect(lines[0]!.errors).toEqual(['hand is right or left'])
    expect(lines[1]!.errors).toEqual(['booth is a whole number'])
    expect(lines[2]!.errors).toEqual([])
  })

  it('columns can be matched otherwise than they are called', () => {
    const table = readTable('name,nickname\nDario Venn,Dar\n')!
    expect(matchColumns(table)).toEqual(['name', null])
    expect(rosterLines(table, [null, 'name'], START)[0]!.student.name).toBe('Dar')
  })

  it('nobody on it', () => {
    expect(readTable('')).toBeNull()
    expect(readTable('name,booth\n,\n')).toBeNull()
  })
})

describe('a list that says something twice', () => {
  it('marks the later line of a person, however it is written, and of a booth', () => {
    const table = readTable('name,booth\nRune Falkner,4\nSefa Lindholm,5\nrune  falkner,6\nIda Marr,5\nOle Pike,')!
    const lines = rosterLines(table, matchColumns(table), START)
    expect(lines.map(line => line.errors)).toEqual([
      [],
      [],
      ['rune falkner stands on the list twice: leave one out, or tell them apart'],
      ['booth 5 is given to two: one of them stands elsewhere'],
      [],
    ])
    expect(checkedLines(lines.slice(0, 2).map(line => line.student)).flatMap(line => line.errors)).toEqual([])
  })
})
