import { completeRules, DEFAULT_HOUSE_RULES, type HouseRules } from '../../core/house'
import type { RulesVersion } from '../../contract/record'
import { database, fromJson, isDuplicate, rows, run, toDateTime, toIso, type Queries } from './database'

/** Version 1 is what every school starts with; it is not kept in the database. */
const FIRST: RulesVersion = { version: 1, rules: DEFAULT_HOUSE_RULES, saved: null }

interface RulesRow {
  version: number
  rules: unknown
  saved_at: string
  saved_by: string
  why: string
}

const toRules = (kept: unknown): HouseRules => completeRules(fromJson<Partial<HouseRules>>(kept))

const toVersion = (row: RulesRow): RulesVersion => ({
  version: row.version,
  rules: toRules(row.rules),
  saved: { at: toIso(row.saved_at), by: row.saved_by, why: row.why },
})

const COLUMNS = 'version, rules, saved_at, saved_by, why'

/** The house rules in force. */
export async function currentRules(): Promise<RulesVersion> {
  const [row] = await rows<RulesRow>(database(), `SELECT ${COLUMNS} FROM house_rules ORDER BY version DESC LIMIT 1`)
  return row ? toVersion(row) : FIRST
}

/** The house rules of a version; null when there is none. */
export async function rulesOf(version: number, on: Queries = database()): Promise<HouseRules | null> {
  if (version === FIRST.version) return FIRST.rules
  const [row] = await rows<{ rules: unknown }>(on, 'SELECT rules FROM house_rules WHERE version = ?', [version])
  return row ? toRules(row.rules) : null
}

/** Every version, oldest first: a coupon is drawn and judged by the rules of its day. */
export async function allRules(): Promise<RulesVersion[]> {
  const kept = await rows<RulesRow>(database(), `SELECT ${COLUMNS} FROM house_rules ORDER BY version`)
  return [FIRST, ...kept.map(toVersion)]
}

/** Keeps a version of the rules. False when somebody has kept this version already. */
export async function addRules(
  version: number,
  rules: HouseRules,
  saved: { by: string; why: string; now: Date },
): Promise<boolean> {
  try {
    await run(database(), 'INSERT INTO house_rules (version, rules, saved_at, saved_by, why) VALUES (?, ?, ?, ?, ?)', [
      version,
      JSON.stringify(rules),
      toDateTime(saved.now),
      saved.by,
      saved.why,
    ])
    return true
  } catch (error) {
    if (isDuplicate(error)) return false
    throw error
  }
}
