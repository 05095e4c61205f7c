import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES, writeRule } from '~~/core/house'
import { settingsCard, type SetUpCase } from '~~/core/setup'
import { inches } from '~~/core/units'
import type { Student } from '~~/contract/people'
import { boothCards } from './boothCards'
import { cardFacts } from './cardFacts'
import { cardSheets } from './cardPdf'

const rules = DEFAULT_HOUSE_RULES
const FLAT: SetUpCase = {
  classification: 'E7018',
  diameterMm: inches(1 / 8),
  position: '1G',
  travel: 'left to right',
  joint: 'pad',
  pass: 'bead',
  thicknessMm: inches(3 / 8),
  polarity: 'DCEP',
  rods: 'new',
}
const student = (name: string, booth: number | null, hand: 'right' | 'left' = 'right'): Student => ({
  id: `id-${name}`,
  name,
  booth,
  hand,
  sectionId: 'sec',
  startDate: '2026-09-01',
  active: true,
})
const cards = (students: readonly Student[], wanted = FLAT) =>
  boothCards(students, wanted, 'E7018 · 1/8', rules, 'http://shop.local')

describe('cards for booths', () => {
  it('stand in the order of the booths, those without one last', () => {
    expect(cards([student('Cy', null), student('Bo', 9), student('Al', 2)]).map(card => card.student)).toEqual([
      'Al',
      'Bo',
      'Cy',
    ])
  })
  it('open the Bench for the booth, or for the student who has none', () => {
    expect(cards([student('Al', 2)])[0]!.address).toBe('http://shop.local/bench?section=sec&booth=2')
    expect(cards([student('Cy', null)])[0]!.address).toBe('http://shop.local/bench?section=sec&student=id-Cy')
  })
  it('travel the other way for a left-hander, but up stays up', () => {
    expect(cards([student('Al', 2, 'left')])[0]!.wanted.travel).toBe('right to left')
    expect(cards([student('Al', 2)], { ...FLAT, travel: 'right to left' })[0]!.wanted.travel).toBe('left to right')
    expect(cards([student('Al', 2, 'left')], { ...FLAT, position: '3G', travel: 'up' })[0]!.wanted.travel).toBe('up')
  })
})

describe('a card’s figures', () => {
  const facts = (wanted: SetUpCase, by = rules) =>
    Object.fromEntries(cardFacts(settingsCard(wanted, by), by).map(fact => [fact.name, fact.value]))
  it('are said in the house’s unit and words', () => {
    expect(facts(FLAT)).toMatchObject({
      'Travel angle': 'drag 10 to 15°',
      'Arc': 'up to 1/8 in, 21–25 V',
      'Bead': '3/16 to 1/4 in wide',
      'Arc force': '40–60 %',
    })
    const metric = writeRule(writeRule(rules, 'unit', 'mm'), 'ways.angleWords', 'to the plate')
    expect(facts(FLAT, metric)).toMatchObject({
      'Travel angle': '75 to 80° to the plate, pointing back at the weld',
      'Arc': 'up to 3.2 mm, 21–25 V',
      'Bead': '4.8 to 6.4 mm wide',
    })
    expect(facts(FLAT, metric).Travel).toMatch(/mm\/min$/)
  })
  it('name the face of a fillet, and the passes of a groove', () => {
    expect(facts({ ...FLAT, joint: 'T', pass: 'first' }).Face).toMatch(/wide$/)
    expect(facts({ ...FLAT, joint: 'V, open root', pass: 'fill' }).Bead).toMatch(/about \d passes$/)
  })
})

describe('the sheet to print', () => {
  const many = (count: number) => cards(Array.from({ length: count }, (_, n) => student(`S${n}`, n + 1)))
  it.each([
    [1, 1],
    [4, 1],
    [5, 2],
    [12, 3],
  ])('%d cards take %d sheets of A4', (count, sheets) => {
    const { content, pageSize } = cardSheets(many(count), rules)
    expect(pageSize).toBe('A4')
    expect(content).toHaveLength(sheets)
  })
  it('holds every student, the current, the code and where the figures come from', () => {
    const text = JSON.stringify(cardSheets(many(5), rules))
    for (let n = 0; n < 5; n++) expect(text).toContain(`Booth ${n + 1} · S${n}`)
    expect(text).toContain('"qr":"http://shop.local/bench?section=sec&booth=3"')
    expect(text).toContain('published 115–165 A')
    expect(text).toContain('from memory, check your copy')
    expect(text).toContain('local rules come first')
  })
})
