#!/usr/bin/env node
import { createServer } from 'node:http'
import { fileURLToPath } from 'node:url'

/**
 * A holding oven that is not there: it holds its temperature like one with a thermostat, cools while its door is open,
 * and speaks the open protocol of docs/oven.md. A real oven's gateway takes its place under the same address.
 */
const HOLDS_C = 126
const SWING_C = 5
const SWING_MS = 10 * 60_000
const SHOP_C = 18
const COOLS_PER_MIN = 6
const WARMS_PER_MIN = 4
const ALARM_UNDER_C = 120

/** @param {{ name?: string, now?: () => number }} options */
export function makeOven({ name = 'oven 1', now = Date.now } = {}) {
  let doorOpen = false
  /** Under what the thermostat holds, °C, at a moment. */
  let lack = { celsius: 0, at: now() }

  function lackNow() {
    const minutes = (now() - lack.at) / 60_000
    const next = lack.celsius + minutes * (doorOpen ? COOLS_PER_MIN : -WARMS_PER_MIN)
    return Math.min(HOLDS_C - SHOP_C, Math.max(0, next))
  }
  function reading() {
    const swing = Math.sin((2 * Math.PI * now()) / SWING_MS) * SWING_C
    const celsius = Math.round(10 * (HOLDS_C + swing - lackNow())) / 10
    return {
      format: 'fusilis-oven',
      version: 1,
      name,
      celsius,
      doorOpen,
      alarm: celsius < ALARM_UNDER_C ? 'under 120 °C' : null,
    }
  }
  function moveDoor(open) {
    lack = { celsius: lackNow(), at: now() }
    doorOpen = open
  }

  const server = createServer((request, response) => {
    const answer = (status, body) => {
      response.writeHead(status, { 'content-type': 'application/json' })
      response.end(JSON.stringify(body))
    }
    const { pathname } = new URL(request.url ?? '/', 'http://oven')
    if (request.method === 'GET' && pathname === '/oven') return answer(200, reading())
    if (request.method === 'PUT' && (pathname === '/oven/door/open' || pathname === '/oven/door/shut')) {
      moveDoor(pathname.endsWith('open'))
      return answer(200, reading())
    }
    answer(404, { error: 'GET /oven reads it; PUT /oven/door/open and /oven/door/shut move its door' })
  })
  return { server, reading, moveDoor }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const port = Number(process.env.PORT ?? 4180)
  const { server } = makeOven({ name: process.env.OVEN ?? 'oven 1' })
  server.listen(port, '127.0.0.1', () => console.log(`  http://127.0.0.1:${port}/oven\n  Ctrl-C stops it.`))
}
