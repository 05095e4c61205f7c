import { describe, expect, it } from 'vitest'
import { FULL_LADDER, rungNamed } from '../ladder'
import { testPieces } from '../qualification'
import { ownTest } from '.'

const signedOff = (...names: string[]) =>
  names.map(name => ({ rungId: rungNamed(FULL_LADDER, name)!.id, status: 'signed off' as const }))
const test = (...names: string[]) => ownTest(testPieces('in'), FULL_LADDER, signedOff(...names))

// A test is taken at the student's own level: common practice.
describe('the test that a student is on the way to', () => {
  it('is the first groove of the ladder for a beginner, whatever fillet is signed off', () => {
    const first = test()!
    expect(first.piece.kind).toBe('plate groove')
    expect(test('flat pad', 'T fillet 2F')).toEqual(first)
  })
  it('is the one after the last that is signed off, though one before it never was', () => {
    expect(test('pipe 5G')!.id).toBe('pipe-2-6g')
    expect(test('open root 2G', 'pipe 5G')!.id).toBe('pipe-2-6g')
    expect(test('open root 2G')!.position).toBe('3G')
  })
  it('is the last where none comes after it', () => {
    const all = FULL_LADDER.rungs.map(rung => rung.name)
    expect(test(...all)!.piece.kind).toBe('pipe butt')
  })
  it('is none on a ladder of pads', () => {
    const pads = { ...FULL_LADDER, rungs: FULL_LADDER.rungs.filter(rung => rung.piece === 'pad') }
    expect(ownTest(testPieces('in'), pads, [])).toBeNull()
  })
})
