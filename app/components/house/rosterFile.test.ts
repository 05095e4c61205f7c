import { describe, expect, it } from 'vitest'
import { decodeText, parseRoster } from './rosterFile'

const START = '2026-09-14'

describe('parseRoster', () => {
  it('reads names, hands, starts and booths; what is not given is right-handed from today', () => {
    const { lines, problem } = parseRoster(
      'Name,Hand,Start,Booth\nDario Venn,left,2026-09-01,4\nNoor Haddix,,,\n',
      START,
    )
    expect(problem).toBeNull()
    expect(lines.map(line => line.student)).toEqual([
      { name: 'Dario Venn', hand: 'left', startDate: '2026-09-01', booth: 4 },
      { name: 'Noor Haddix', hand: 'right', startDate: START, booth: null },
    ])
    expect(lines.every(line => line.errors.length === 0)).toBe(true)
  })

  it('reads semicolons, a byte order mark and quoted commas', () => {
    expect(parseRoster('\uFEFFname;hand\n"Venn, Dario";right', START).lines[0]!.student.name).toBe('Venn, Dario')
  })

  it('says what is wrong, by line', () => {
    const { lines } = parseRoster(
      'name,hand,start,booth\nA,both,2026-09-01,1\n,left,1826-01-01,x\nOk Person,right,,',
      START,
    )
    expect(lines[0]!.errors).toEqual(['hand is right or left'])
    expect(lines[1]!.errors).toEqual(['booth is a whole number'])
    expect(lines[1]!.line).toBe(3)
    expect(lines[2]!.errors).toEqual([])
  })

  it('says when the file is no roster', () => {
    expect(parseRoster('a,b\n1,2', START).problem).toMatch(/name/)
    expect(parseRoster('name\n', START).problem).toMatch(/nobody/)
  })
})

it('reads Latin-1 as well as UTF-8', () => {
  expect(decodeText(new TextEncoder().encode('Zoë').buffer as ArrayBuffer)).toBe('Zoë')
  expect(decodeText(Uint8Array.from([0x5a, 0x6f, 0xeb]).buffer)).toBe('Zoë')
})
