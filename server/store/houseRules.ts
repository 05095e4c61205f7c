import { completeRules, DEFAULT_HOUSE_RULES, type HouseRules } from '../../core/house'
import type { RulesVersion } from '../../contract/record'
import { database, type Queries } from './database'
import {
  allVersions,
  HOUSE_RULES,
  keepVersion,
  newestVersion,
  versionOf,
  type KeptVersion,
  type VersionSaver,
} from './versioned'

/** Version 1 is what every school starts with; it is not kept in the database. */
const FIRST: RulesVersion = { version: 1, rules: DEFAULT_HOUSE_RULES, saved: null }

/** Rules kept before a rule was known take its default. */
const toRules = ({ version, content, saved }: KeptVersion<Partial<HouseRules>>): RulesVersion => ({
  version,
  rules: completeRules(content),
  saved,
})

/** The house rules in force. */
export async function currentRules(): Promise<RulesVersion> {
  const kept = await newestVersion<Partial<HouseRules>>(HOUSE_RULES)
  return kept ? toRules(kept) : FIRST
}

/** The house rules of a version; null when there is none. */
export async function rulesOf(version: number, on: Queries = database()): Promise<HouseRules | null> {
  if (version === FIRST.version) return FIRST.rules
  const kept = await versionOf<Partial<HouseRules>>(HOUSE_RULES, { version }, on)
  return kept ? toRules(kept).rules : null
}

/** Every version, oldest first: a coupon is drawn and judged by the rules of its day. */
export async function allRules(): Promise<RulesVersion[]> {
  return [FIRST, ...(await allVersions<Partial<HouseRules>>(HOUSE_RULES)).map(toRules)]
}

/** Keeps rules as the version after the one they were edited from; null when newer ones are saved already. */
export async function keepRules(
  baseVersion: number,
  rules: HouseRules,
  saver: VersionSaver,
): Promise<RulesVersion | null> {
  const kept = await keepVersion<HouseRules>(HOUSE_RULES, { baseVersion, content: rules }, saver)
  return kept ? toRules(kept) : null
}
