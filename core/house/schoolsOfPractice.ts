import type { HouseRules } from './houseRules'
import { DEFAULT_WAYS, type Ways } from './ways'

/** A way of teaching that hangs together: what a house that follows it does otherwise than the common way. */
export interface SchoolOfPractice {
  readonly id: string
  readonly name: string
  /** What it does and why, as one instructor says it to another. */
  readonly says: string
  readonly ways: Partial<Ways>
  readonly rules: Partial<Omit<HouseRules, 'ways' | 'unit'>>
}

/**
 * The first is the common way: what a house has that has said nothing. Each line stands among those on which good
 * welders differ; none of them is wrong. Source: common practice.
 */
export const SCHOOLS_OF_PRACTICE: readonly SchoolOfPractice[] = [
  {
    id: 'common way',
    name: 'The common way',
    says:
      'Straight drag flat, a slight weave going up. E7018 first, plates quenched, stub days for restarts. A rung is ' +
      'signed off after three good coupons in a row.',
    ways: {},
    rules: {},
  },
  {
    id: 'stringers',
    name: 'Strict stringers',
    says:
      'No weave in any position, as some tests insist; half of each bead covered. Every bead is wheeled, plates cool in ' +
      'air, rods are burnt to the printing. Moving up takes a rule that luck does not pass.',
    ways: {
      manipulation: 'stringers',
      cleaning: 'wheel',
      cooling: 'air',
      stubUse: 'printing',
      arcStrikes: 'never',
      movingUp: 'by statistics',
    },
    rules: { overlap: { low: 0.5, high: 0.6 } },
  },
  {
    id: 'first strikes',
    name: 'Easy first strikes',
    says:
      'For people who have never held a rod: E6013 first, scratched like a match, with a wide gap until it stays lit. ' +
      'Stubs are kept for stub days, a fresh rod whenever in doubt; the instructor’s eye says who moves up.',
    ways: {
      firstRod: 'E6013',
      lighting: 'scratch',
      lightingGap: 'wide',
      stubUse: 'fresh rod',
      movingUp: 'by eye',
    },
    rules: {},
  },
  {
    id: 'pipe hands',
    name: 'Towards pipe',
    says:
      'Everything leads to an open root: whipped throughout, three angles on a T, overhead before vertical. Beads are ' +
      'called from the puddle; vertical runs as hot as flat.',
    ways: {
      rootPass: 'whip',
      order: 'overhead first',
      reading: 'puddle',
    },
    rules: { verticalUnderFlatA: { low: 0, high: 10 } },
  },
]

/**
 * The rules of a house that follows a school of practice: its figures and ways over what the house has, its ways taken
 * back to the common one first, so that one choice can be put in place of another.
 * @example followSchool(rules, SCHOOLS_OF_PRACTICE[1]).ways.cooling // 'air'
 */
export function followSchool(rules: HouseRules, { ways, rules: figures }: SchoolOfPractice): HouseRules {
  return { ...rules, ...figures, ways: { ...DEFAULT_WAYS, ...ways } }
}
