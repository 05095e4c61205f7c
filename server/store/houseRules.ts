import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../core/house'
import type { RulesVersion } from '../../contract/record'
import { database, fromJson, rows, run, toDateTime, type Queries } from './database'

/** Version 1 is what every school starts with; it is not kept in the database. */
const FIRST: RulesVersion = { version: 1, rules: DEFAULT_HOUSE_RULES }

/** The house rules in force. */
export async function currentRules(): Promise<RulesVersion> {
  const [row] = await rows<{ version: number, rules: unknown }>(database(), 'SELECT version, rules FROM house_rules ORDER BY version DESC LIMIT 1')
  return row ? { version: row.version, rules: fromJson(row.rules) } : FIRST
}

/** The house rules of a version; null when there is none. */
export async function rulesOf(version: number, on: Queries = database()): Promise<HouseRules | null> {
  if (version === FIRST.version) return FIRST.rules
  const [row] = await rows<{ rules: unknown }>(on, 'SELECT rules FROM house_rules WHERE version = ?', [version])
  return row ? fromJson(row.rules) : null
}

/** Every version, oldest first: a coupon is drawn and judged by the rules of its day. */
export async function allRules(): Promise<RulesVersion[]> {
  const kept = await rows<{ version: number, rules: unknown }>(database(), 'SELECT version, rules FROM house_rules ORDER BY version')
  return [FIRST, ...kept.map(row => ({ version: row.version, rules: fromJson<HouseRules>(row.rules) }))]
}

export async function addRules({ version, rules }: RulesVersion, by: string, why: string, now: Date): Promise<void> {
  await run(database(), 'INSERT INTO house_rules (version, rules, saved_at, saved_by, why) VALUES (?, ?, ?, ?, ?)',
    [version, JSON.stringify(rules), toDateTime(now), by, why])
}
