import { ROOMS } from '../rooms/rooms'

/** Rooms that a class needs, for all students alike: fetched before there is no network. */
export const ROOM_PATHS: readonly string[] = ROOMS.flatMap(room => room.keeps)

const ID = '[0-9a-f-]{36}'
/**
 * What of the server's answers is kept in the browser for a class without a network: what a class needs, and nothing
 * of accounts, the trail or anybody's whole data.
 */
const KEPT: readonly RegExp[] = [
  '/api/session',
  '/api/sections',
  `/api/sections/${ID}/(floor|queue|remarks|booths|board|day|plan|students)`,
  `/api/students/${ID}/(causes|progress|record|tests|blind-readings|reading-room|hours|place|today|pace)`,
  `/api/coupons/${ID}(/pictures)?`,
  ...ROOM_PATHS,
  `/api/tests/${ID}`,
].map(path => new RegExp(`^${path}$`))

/** A tablet that goes round keeps whose names stand on it, and the rules by which a coupon is read. */
const KEPT_AT_TABLET: readonly RegExp[] = [/^\/api\/kiosk$/, /^\/api\/house-rules$/]

/** Who keeps answers: a person who is signed in, or a tablet that was handed over. */
export type Keeper = 'account' | 'tablet'

/**
 * A list that was narrowed, or is of another day, is not kept.
 * @example isKeepable('/api/house-rules', 'account') // true
 */
export const isKeepable = (path: string, keeper: Keeper): boolean =>
  (keeper === 'account' ? KEPT : KEPT_AT_TABLET).some(kept => kept.test(path))

export const sectionPaths = (id: string): readonly string[] =>
  ['floor', 'queue', 'remarks', 'booths', 'board', 'day', 'plan'].map(what => `/api/sections/${id}/${what}`)
export const studentPaths = (id: string): readonly string[] =>
  ['causes', 'progress', 'record', 'tests', 'hours'].map(what => `/api/students/${id}/${what}`)
