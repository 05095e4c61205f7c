import { describe, expect, it } from 'vitest'
import { inches } from '../units'
import { aTest } from './example'
import { documentFaults, specimensOf, testStanding, type TestDocument } from '.'

const AT = '2026-11-02T18:00:00.000Z'
const seen = { by: 'MH', at: AT }
const planned = aTest('s')
const checked: TestDocument = { ...planned, stamp: 'T1', checks: { 'whole rods, in date': true, 'piece stamped': true, 'fit-up within limits': true, 'position fixed': true }, holds: { ...planned.holds, 'fit-up': seen } }
const started: TestDocument = { ...checked, startedAt: AT }
const welded: TestDocument = { ...started, holds: { 'fit-up': seen, 'root': seen, 'cap': seen }, endedAt: '2026-11-02T19:10:00.000Z' }
const seenGood: TestDocument = { ...welded, visual: { ...seen, outcome: 'passes', couponId: null, failed: [] } }
const [face, root] = [specimensOf(planned)[0]!, specimensOf(planned)[1]!]
const bent = (...lengths: number[]) => ({ ...seen, openings: lengths.map(length => ({ length, corner: false, from: null })), byHand: null })

describe('a test goes on step by step', () => {
  it.each([
    ['planned', planned, 'planned'], ['checked', checked, 'planned'], ['started', started, 'under way'], ['welded out', welded, 'for visual'], ['seen', seenGood, 'for specimens'],
    ['one bend done', { ...seenGood, results: { [face.id]: bent() } }, 'for specimens'], ['both bends done', { ...seenGood, results: { [face.id]: bent(0.125), [root.id]: bent() } }, 'passed'],
    ['a bend open too far', { ...seenGood, results: { [face.id]: bent(0.2), [root.id]: bent() } }, 'failed'], ['a visual that fails', { ...welded, visual: { ...seen, outcome: 'fails', couponId: null, failed: ['undercut 1/16 in'] } }, 'failed'],
    ['a corner crack that comes from nothing', { ...seenGood, results: { [face.id]: { ...seen, openings: [{ length: 0.3, corner: true, from: null }], byHand: null }, [root.id]: bent() } }, 'for specimens'],
  ] as const)('%s', (_, document, state) => {
    expect(documentFaults(document)).toEqual([])
    expect(testStanding(document).state).toBe(state)
  })
  it('a failure says why, by which clause, and what a retest takes', () => {
    const { reasons, next } = testStanding({ ...seenGood, results: { [face.id]: bent(0.2), [root.id]: bent() } })
    expect(reasons[0]).toBe('face: An opening over 1/8 in (AWS D1.1 4.9.3.3 (2015), 6.10.3.3 (2020))')
    expect(next).toMatch(/^Retest at once: two welds of each type/)
  })
})

describe('what is out of order is refused', () => {
  it.each([
    ['started without the checklist', { ...started, checks: planned.checks }, 'checks', /checklist/], ['started with no witness', { ...started, holds: planned.holds }, 'holds.fit-up', /witnessed before/], ['started unstamped', { ...started, stamp: ' ' }, 'stamp', /stamp/],
    ['stopped before it started', { ...welded, endedAt: '2026-11-02T17:00:00.000Z' }, 'endedAt', /after it was started/], ['stopped with the cap unseen', { ...welded, holds: { ...welded.holds, cap: null } }, 'holds', /Root and cap/],
    ['a visual on what is not welded out', { ...started, visual: seenGood.visual }, 'visual', /welded out/], ['a failed visual that names nothing', { ...welded, visual: { ...seen, outcome: 'fails' as const, couponId: null, failed: [] } }, 'visual.failed', /which line/],
    ['a bend before the visual', { ...welded, results: { [face.id]: bent() } }, `results.${face.id}`, /after a visual/], ['a specimen of another piece', { ...seenGood, results: { 'side-9': bent() } }, 'results.side-9', /none of this piece/],
    ['a piece too short', { ...planned, seamMm: inches(4) }, 'seamMm', /longer piece/], ['an impossible wall', { ...planned, test: { ...planned.test, thicknessMm: 0 } }, 'test.thicknessMm', /over nothing/],
  ] as const)('%s', (_, document, path, message) => expect(documentFaults(document).find(fault => fault.path === path)?.message).toMatch(message))
})
