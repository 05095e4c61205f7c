import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { aCoupon } from '../core/coupon/example'
import { DEFAULT_HOUSE_RULES } from '../core/house'
import { FULL_LADDER } from '../core/ladder'
import { STRUCTURAL } from '../core/qualification'
import type { Random } from '../core/statistics'
import { aTest } from '../core/welderTest/example'

/** Every route there is: `PUT /api/coupons/[id]`. */
export const ROUTES: readonly string[] = readdirSync(fileURLToPath(new URL('../server/api', import.meta.url)), {
  recursive: true,
  encoding: 'utf8',
})
  .filter(file => file.endsWith('.ts') && !file.startsWith('[...'))
  .map(file => {
    const [, path, method] = /^(.*?)\.(get|post|put|delete)\.ts$/.exec(file)!
    return `${method!.toUpperCase()} /api/${path!.replace(/(^|\/)index$/, '')}`
  })

/** Routes that a fuzz leaves alone: they would end its own session, or found the school anew. */
const SPARED = new Set(['DELETE /api/session', 'DELETE /api/sessions', 'POST /api/kiosk', 'POST /api/session'])
export const FUZZED_ROUTES = ROUTES.filter(route => !route.startsWith('GET') && !SPARED.has(route))

/** A body that a route might take, to be spoilt. */
const soundBody = (route: string, studentId: string): unknown => {
  if (route.includes('/coupons')) return { baseVersion: 0, why: '', document: aCoupon({ studentId }) }
  if (route.includes('/blind-readings'))
    return { couponId: studentId, stage: 'after chipping', document: aCoupon({ studentId }) }
  if (route.includes('/tests')) return { baseVersion: 0, document: aTest(studentId) }
  if (route.includes('/house-rules')) return { baseVersion: 999, why: 'as we run it', rules: DEFAULT_HOUSE_RULES }
  if (route.includes('/ladder')) return { baseVersion: 999, why: 'our order', ladder: FULL_LADDER }
  if (route.includes('/code-books')) return { baseVersion: 0, why: 'our copy', retired: false, book: STRUCTURAL }
  if (route.includes('/sections'))
    return { name: 'S', meetings: [{ weekday: 'Mon', from: '18:00', to: '21:00' }], termFrom: '2026-09-01' }
  return { studentId, name: 'Somebody', hand: 'left', why: 'because', rungId: 'flat-pad', code: '1234', students: [{}] }
}

/** What no field wants. Whatever JSON can say, and whatever has brought a parser down before. */
const NASTY: readonly ((random: Random) => unknown)[] = [
  () => null,
  () => true,
  () => -1,
  () => 1e308,
  () => 1.5,
  () => 2 ** 53,
  () => '',
  () => 'x'.repeat(5_000),
  () => '\ud800',
  () => '\u0000',
  () => "'; DROP TABLE coupon; --",
  () => '{{constructor}}',
  () => [],
  () => ({}),
  () => [[[[[[[[[[[[[[[[[[[[]]]]]]]]]]]]]]]]]]]],
  () => ({ toString: 1, valueOf: null, length: 3 }),
  random => Array.from({ length: Math.floor(random.uniform() * 300) }, () => ({})),
  random => Object.fromEntries(Array.from({ length: 20 }, (_, n) => [`k${n}`, random.uniform()])),
  () => JSON.parse('{"__proto__": {"admin": true}}') as unknown,
  () => JSON.parse('{"constructor": {"prototype": {"admin": true}}}') as unknown,
]

/** The value with one place in it spoilt. */
function spoilt(value: unknown, random: Random): unknown {
  if (typeof value !== 'object' || value === null || random.chance(0.12)) return random.pick(NASTY)(random)
  if (Array.isArray(value)) {
    if (value.length === 0) return random.pick(NASTY)(random)
    const at = Math.floor(random.uniform() * value.length)
    return value.map((inner, n) => (n === at ? spoilt(inner, random) : inner))
  }
  const keys = Object.keys(value)
  if (keys.length === 0) return random.pick(NASTY)(random)
  const key = random.pick(keys)
  if (random.chance(0.1)) return Object.fromEntries(Object.entries(value).filter(([name]) => name !== key))
  return { ...value, [key]: spoilt((value as Record<string, unknown>)[key], random) }
}

export interface FuzzedRequest {
  readonly method: string
  readonly path: string
  readonly body: string
}

const IDS = ['not-an-id', '__proto__', '%00', '..%2f..', "1' OR '1'='1"]

/** One request that nobody sends by a page: a route with a spoilt body, or text that is no JSON. */
export function fuzzedRequest(random: Random, studentId: string, newId: () => string): FuzzedRequest {
  const route = random.pick(FUZZED_ROUTES)
  const [method, pattern] = route.split(' ') as [string, string]
  const id = random.chance(0.15) ? random.pick(IDS) : random.chance(0.3) ? studentId : newId()
  const whole = JSON.stringify(spoilt(soundBody(route, studentId), random)) ?? 'null'
  const body = random.chance(0.05) ? whole.slice(0, -1) : random.chance(0.02) ? '['.repeat(5_000) : whole
  return { method, path: pattern.replace('[id]', id), body }
}
