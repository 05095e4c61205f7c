import { readdirSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { ROOM_HELP } from '../keys/roomHelp'
import { mayEnter, railOf, roomAt, ROOMS } from './rooms'

const MINE = '01900000-0000-7000-8000-000000000001'
const OTHER = '01900000-0000-7000-8000-000000000002'

/** The address of each page there is; a part that is an id stands as one. */
const PAGES = readdirSync(`${import.meta.dirname}/../pages`, { recursive: true, encoding: 'utf8' })
  // What no page is at is no room.
  .filter(file => file.endsWith('.vue') && !file.startsWith('[...'))
  .map(
    file =>
      `/${file
        .replace(/\.vue$/, '')
        .replace(/(^|\/)index$/, '')
        .replaceAll('[id]', OTHER)}`,
  )

describe('the rooms', () => {
  it.each(PAGES)('%s is in one', path => expect(roomAt(path)).toBeDefined())
  it('have each an address of its own, and help but at the door', () => {
    expect(new Set(ROOMS.map(one => one.at)).size).toBe(ROOMS.length)
    const helped = ROOMS.filter(one => !one.bare && one.at !== '/first-day').map(one => one.at)
    expect(ROOM_HELP.map(help => help.at).sort()).toEqual(helped.sort())
  })
  it('stand on the rail of staff and of students in their order', () => {
    expect(railOf('staff', null).map(one => one.name)).toEqual([
      'Floor',
      'Bench',
      'Record',
      'Board',
      'Test bay',
      'Set-up',
      'Rod room',
      'Practice',
      'House',
    ])
    expect(railOf('student', MINE)).toEqual([
      { to: '/today', name: 'Today' },
      { to: '/kiosk', name: 'Read' },
      { to: `/record/${MINE}`, name: 'Record' },
      { to: '/set-up', name: 'Set-up' },
      { to: '/reading-room', name: 'Practice' },
    ])
    expect(railOf('tablet', null)).toEqual([])
  })
})

describe('who may enter', () => {
  const DOOR = ['/sign-in', '/own-password', '/one-time-codes', '/away']
  const opened = (who: 'staff' | 'student' | 'tablet') => PAGES.filter(path => mayEnter(path, who, MINE)).sort()
  it('staff: all but a student’s own day', () =>
    expect(opened('staff')).toEqual(PAGES.filter(path => path !== '/today').sort()))
  it('a student: the own day, own coupons, shown beads and the set-up, and no other student’s record', () => {
    const setUp = PAGES.filter(path => path === '/set-up' || path.startsWith('/set-up/'))
    expect(opened('student')).toEqual(['/today', '/kiosk', '/reading-room', ...setUp, ...DOOR].sort())
    for (const part of ['', '/progress', '/tests']) {
      expect(mayEnter(`/record/${MINE}${part}`, 'student', MINE)).toBe(true)
      expect(mayEnter(`/record/${OTHER}${part}`, 'student', MINE)).toBe(false)
      expect(mayEnter(`/record/${MINE}${part}`, 'student', null)).toBe(false)
    }
    // An id that begins alike is another's.
    expect(mayEnter(`/record/${MINE}0`, 'student', MINE)).toBe(false)
  })
  it('a tablet: the wall, and where students read', () => expect(opened('tablet')).toEqual(['/kiosk', '/wall']))
})
