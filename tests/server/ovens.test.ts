import type { AddressInfo } from 'node:net'
import { createServer, type Server } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeOven } from '../../bin/oven.mjs'
import type { RodRoom } from '../../contract/rodRoom'
import { closeDatabase } from '../../server/store/database'
import { isNews, readOven, watchOvens } from '../../server/store/ovenWatch'
import { foundTestSchool, type School } from '../school'

let school: School
let clock = Date.parse('2026-11-27T18:00:00Z')
const oven = makeOven({ name: 'oven of the stand-in', now: () => clock })
const later = (minutes: number) => {
  clock += minutes * 60_000
}
/** An oven that answers something else. */
const odd: Server = createServer((_, response) => response.end('{"format":"kettle","version":1}'))
let address = ''
let oddAddress = ''
const at = (server: Server) => `http://127.0.0.1:${(server.address() as AddressInfo).port}/oven`

beforeAll(async () => {
  school = await foundTestSchool()
  for (const server of [oven.server, odd]) await new Promise<void>(done => server.listen(0, '127.0.0.1', done))
  address = at(oven.server)
  oddAddress = at(odd)
})
afterAll(async () => {
  oven.server.close()
  odd.close()
  await closeDatabase()
})

describe('the oven that is not there', () => {
  it('holds its temperature, cools while its door is open, complains when it is cold, and warms again', () => {
    expect(oven.reading()).toMatchObject({ doorOpen: false, alarm: null })
    for (let n = 0; n < 12; n++, later(1)) {
      expect(oven.reading().celsius).toBeGreaterThanOrEqual(121)
      expect(oven.reading().celsius).toBeLessThanOrEqual(131)
    }
    oven.moveDoor(true)
    later(5)
    expect(oven.reading().celsius).toBeLessThan(105)
    expect(oven.reading().alarm).toBe('under 120 °C')
    later(500)
    expect(oven.reading().celsius).toBeGreaterThan(10)
    oven.moveDoor(false)
    later(60)
    expect(oven.reading()).toMatchObject({ doorOpen: false, alarm: null })
  })

  it('answers as its protocol says; what does not is refused in words', async () => {
    expect(await readOven(address)).toEqual(oven.reading())
    await fetch(`${address}/door/open`, { method: 'PUT' })
    expect((await readOven(address)).doorOpen).toBe(true)
    await fetch(`${address}/door/shut`, { method: 'PUT' })
    await expect(readOven(oddAddress)).rejects.toThrow('no oven’s answer')
    await expect(readOven(`${address}/elsewhere`)).rejects.toThrow('it answers 404')
  })
})

describe('ovens that are watched', () => {
  it('are kept when they say something new, and an oven that is away is said once each way', async () => {
    const said: string[] = []
    const look = watchOvens([address, oddAddress], line => said.push(line))
    await look(new Date())
    await look(new Date())
    expect(said).toEqual([`the oven at ${oddAddress} does not answer: this is no oven’s answer`])
    const { ovens } = (await school.instructor.ask<RodRoom>('GET', '/api/rods')).body
    expect(ovens.find(one => one.oven === 'oven of the stand-in')).toMatchObject({
      celsius: oven.reading().celsius,
      by: 'the oven itself',
    })
  })

  it('news is a degree, the door, or ten minutes', () => {
    const last = { ...(oven.reading() as never as Parameters<typeof isNews>[1]), celsius: 126, doorOpen: false, at: 0 }
    const now = { ...last }
    expect(isNews(undefined, now, 0)).toBe(true)
    expect(isNews(last, { ...now, celsius: 126.9 }, 60_000)).toBe(false)
    expect(isNews(last, { ...now, celsius: 125 }, 60_000)).toBe(true)
    expect(isNews(last, { ...now, doorOpen: true }, 60_000)).toBe(true)
    expect(isNews(last, now, 10 * 60_000)).toBe(true)
  })
})
