import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { FACE_KINDS, ROOT_KINDS } from './markKinds'
import { arrowOf, BENCH_KEYS, BLIND_KEYS } from './benchKeys'
import { actOn, asMarkdown, keyOf, keysTwice } from './keyTable'
import { helpAt, ROOM_HELP } from './roomHelp'
import { DAY_PLAN_KEYS, FLOOR_KEYS, PLAN_KEYS, TEST_KEYS, TESTS_KEYS } from './roomKeys'

const pressed = (key: string, held: Partial<Record<'ctrlKey' | 'metaKey' | 'shiftKey' | 'altKey', boolean>> = {}) => ({
  key,
  ctrlKey: false,
  metaKey: false,
  shiftKey: false,
  altKey: false,
  ...held,
})

describe('a key', () => {
  it.each([
    [pressed('z'), 'Z'],
    [pressed('z', { ctrlKey: true }), 'Ctrl Z'],
    [pressed('Z', { metaKey: true, shiftKey: true }), 'Ctrl Shift Z'],
    [pressed('?', { shiftKey: true }), '?'],
    [pressed('Enter'), 'Enter'],
    [pressed('z', { altKey: true }), null],
  ])('%j is %s', (event, name) => expect(keyOf(event)).toBe(name))
})

describe('each room’s keys', () => {
  it.each([
    ['Bench', BENCH_KEYS],
    ['blind reading', BLIND_KEYS],
    ['Floor', FLOOR_KEYS],
    ['Plan of the day', DAY_PLAN_KEYS],
    ['tests', TESTS_KEYS],
    ['planning', PLAN_KEYS],
    ['a test', TEST_KEYS],
  ])('%s: none stands twice', (_, rows) => expect(keysTwice(rows)).toEqual([]))
  it('no letter of a mark is another key of the Bench', () =>
    expect([...FACE_KINDS, ...ROOT_KINDS].filter(kind => actOn(BENCH_KEYS, kind.letter) !== undefined)).toEqual([]))
  it('the page of the rooms shows them as they are', () => {
    const page = readFileSync(`${import.meta.dirname}/../../docs/rooms.md`, 'utf8')
    for (const rows of [BENCH_KEYS, TEST_KEYS]) expect(page).toContain(asMarkdown(rows))
  })
})

describe('the help of a room', () => {
  it.each([
    ['/', 'Floor'],
    ['/bench', 'Bench'],
    ['/record/01900000-0000-7000-8000-000000000001/progress', 'Record'],
    ['/test-bay', 'Test bay'],
    ['/test-bay/plan', 'Planning a test'],
    ['/test-bay/01900000-0000-7000-8000-000000000001', 'A test'],
    ['/house/people', 'House'],
    ['/set-up/drill', 'Set-up'],
    ['/second-reading', 'Second reading'],
  ])('at %s is that of %s', (path, name) => expect(helpAt(path)?.name).toBe(name))
  it('is none at the door', () => expect(helpAt('/sign-in')).toBeUndefined())
  it('is a few steps, none longer than a breath', () => {
    for (const { steps, at } of ROOM_HELP) {
      expect(steps.length, at).toBeGreaterThan(1)
      expect(steps.length, at).toBeLessThan(5)
      for (const { says } of steps) expect(says.length, says).toBeLessThan(90)
    }
  })
  it('`?` is no other key of a room; a blind reading on a tablet, which has no rail, opens it so itself', () => {
    for (const { keys } of ROOM_HELP) if (keys !== BLIND_KEYS) expect(actOn(keys, '?')).toBeUndefined()
  })
})

describe('reading blind', () => {
  it('hands in, and touches nothing that belongs to whoever answers for the coupon', () => {
    expect(actOn(BLIND_KEYS, 'Enter')).toBe('save')
    expect(BLIND_KEYS.find(row => row.shown === 'Enter')!.says).toBe('hand it in')
    // What was seen and heard is the reader's own to say.
    expect(actOn(BLIND_KEYS, '6')).toBe('told')
    for (const key of ['N', '/', '`', 'I', '-', '+', '7', '8', '9', ';', "'", ' '])
      expect(actOn(BLIND_KEYS, key), key).toBeUndefined()
  })
})

describe('arrows', () => {
  it('lead along the bead as the coupon lies, and turn with an upright one', () => {
    expect(arrowOf(pressed('ArrowRight'), false)).toBe('Forward')
    expect(arrowOf(pressed('ArrowRight'), true)).toBe('Over')
    expect(arrowOf(pressed('ArrowUp', { shiftKey: true }), true)).toBe('Shift Forward')
    expect(arrowOf(pressed('ArrowLeft', { ctrlKey: true }), false)).toBe('Ctrl Back')
    expect(arrowOf(pressed('a'), false)).toBeNull()
  })
})
