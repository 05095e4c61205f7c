import { CONVEXITY_STEPS } from '../grading'
import type { Certainty } from '../trade'
import type { AppliesTo, CriteriaSet, Criterion, Limit } from './criteriaSet'
import type { ObservedId } from './observed'

const MEMORY: Certainty = 'from memory, check your copy'
const NONE: Limit = { is: 'none' }
const atMost = (inch: number, mm: number): Limit => ({ is: 'at most', in: inch, mm })
const share = (of: 'thickness' | 'width' | 'throat', times: number, mostMm: number | null, plusMm = 0): Limit => ({
  is: 'at most a share',
  of,
  share: times,
  plusMm,
  mostMm,
})
const line =
  (clause: string) =>
  (observed: ObservedId, limit: Limit, appliesTo: AppliesTo = {}): Criterion => {
    const where = [
      appliesTo.weld,
      appliesTo.overMm === undefined ? '' : `over ${appliesTo.overMm}`,
      appliesTo.upToMm === undefined ? '' : `to ${appliesTo.upToMm}`,
    ]
      .filter(Boolean)
      .join(' ')
    return { id: where ? `${observed}, ${where}` : observed, observed, limit, appliesTo, clause, certainty: MEMORY }
  }

const visual = line('2020 6.10.1 (2015 4.9.1)')
const production = line('2020 Table 8.1 (2015 Table 6.1)')
const profile = line('2020 Table 7.8 (2015 Table 5.9)')

const WELDER_TEST: CriteriaSet = {
  id: 'd1.1 welder',
  name: 'Structural plate, welder test',
  edition: 'AWS D1.1:2020 (2015)',
  criteria: [
    visual('cracks', NONE),
    visual('craters', NONE),
    visual('undercut depth', atMost(1 / 32, 1)),
    visual('overlap', NONE),
    visual('not fused', NONE),
    visual('reinforcement', atMost(1 / 8, 3), { weld: 'groove' }),
    visual('below the surface', NONE, { weld: 'groove' }),
    visual('not through', NONE, { weld: 'groove' }),
    visual('root concavity', atMost(1 / 16, 2), { weld: 'groove' }),
    visual('stands through', atMost(1 / 8, 3), { weld: 'groove' }),
    visual('leg short by', NONE, { weld: 'fillet' }),
    profile('convexity', { is: 'steps by width', steps: CONVEXITY_STEPS }, { weld: 'fillet' }),
  ],
}

const PRODUCTION: CriteriaSet = {
  id: 'd1.1 production',
  name: 'Structural plate, production (static)',
  edition: 'AWS D1.1:2020 (2015)',
  criteria: [
    production('cracks', NONE),
    production('not fused', NONE),
    production('craters', NONE),
    production('overlap', NONE),
    production('undercut depth', atMost(1 / 16, 2)),
    production('deep undercut in 12 in', atMost(2, 50), { upToMm: 25.4 }),
    production('pores in 1 in', atMost(3 / 8, 10)),
    production('pores in 12 in', atMost(3 / 4, 20)),
    profile('reinforcement', atMost(1 / 8, 3), { weld: 'groove', upToMm: 25.4 }),
    profile('reinforcement', atMost(3 / 16, 5), { weld: 'groove', overMm: 25.4 }),
    profile('convexity', { is: 'steps by width', steps: CONVEXITY_STEPS }, { weld: 'fillet' }),
    production('leg short by', atMost(1 / 16, 2), { weld: 'fillet' }),
  ],
}

const pressure = line('QW-194, QW-302.4')
const PRESSURE: CriteriaSet = {
  id: 'ix visual',
  name: 'Pressure code, welder test',
  edition: 'ASME BPVC Section IX',
  criteria: [pressure('cracks', NONE), pressure('not through', NONE, { weld: 'groove' }), pressure('not fused', NONE)],
}

const pipeline = line('6.4 (clause number from memory)')
const PIPELINE: CriteriaSet = {
  id: '1104 visual',
  name: 'Pipeline, butt test',
  edition: 'API 1104, 21st ed.',
  criteria: [
    pipeline('cracks', NONE),
    pipeline('not through', NONE),
    pipeline('burn-through', NONE),
    pipeline('undercut depth', { is: 'less of', share: 0.125, in: 1 / 32, mm: 0.8 }),
    pipeline('undercut in 12 in', atMost(2, 50)),
  ],
}

type Level = 'B' | 'C' | 'D'
/**
 * Limits of a level, in the order D, C, B of the table. Only those for more than 3 mm, which is what a school
 * welds.
 */
const byLevel = <T>(level: Level, d: T, c: T, b: T): T => ({ D: d, C: c, B: b })[level]
const iso = (number: string) => line(`Table 1, ${number}`)

function iso5817(level: Level): CriteriaSet {
  const of = <T>(d: T, c: T, b: T) => byLevel(level, d, c, b)
  const over3: AppliesTo = { overMm: 3 }
  const short = (criterion: Criterion) => (level === 'D' ? [criterion] : [])
  return {
    id: `iso 5817 ${level}`,
    name: `ISO 5817, level ${level}`,
    edition: 'ISO 5817:2014',
    criteria: [
      iso('100')('cracks', NONE),
      iso('2017')('largest pore', of(share('thickness', 0.3, 3), share('thickness', 0.2, 2), NONE), over3),
      iso('2025')('craters', NONE),
      iso('401')('not fused', NONE),
      ...short(iso('4021')('not through in 100 mm', atMost(1, 25), { weld: 'groove' })),
      ...(level === 'D' ? [] : [iso('4021')('not through', NONE, { weld: 'groove' })]),
      iso('5011')(
        'undercut depth',
        of(share('thickness', 0.2, 1), share('thickness', 0.1, 0.5), share('thickness', 0.05, 0.5)),
        over3,
      ),
      iso('502')(
        'reinforcement',
        of(share('width', 0.25, 10, 1), share('width', 0.15, 7, 1), share('width', 0.1, 5, 1)),
        { weld: 'groove' },
      ),
      iso('503')('convexity', of(share('width', 0.25, 5, 1), share('width', 0.15, 4, 1), share('width', 0.1, 3, 1)), {
        weld: 'fillet',
      }),
      iso('504')('stands through', of(share('width', 1, 5, 1), share('width', 0.6, 4, 1), share('width', 0.2, 3, 1)), {
        weld: 'groove',
        overMm: 3,
      }),
      ...(level === 'D' ? [] : [iso('506')('overlap', NONE)]),
      iso('509')(
        'sagging',
        of(share('thickness', 0.25, 2), share('thickness', 0.1, 1), share('thickness', 0.05, 0.5)),
        over3,
      ),
      iso('510')('burn-through', NONE),
      iso('512')(
        'legs differ by',
        of(share('throat', 0.2, null, 2), share('throat', 0.15, null, 2), share('throat', 0.15, null, 1.5)),
        { weld: 'fillet' },
      ),
      iso('515')(
        'root concavity',
        of(share('thickness', 0.2, 2), share('thickness', 0.1, 1), share('thickness', 0.05, 0.5)),
        { weld: 'groove', overMm: 3 },
      ),
      ...(level === 'D' ? [] : [iso('517')('poor restarts', NONE)]),
      iso('5213')('throat short by', of(share('throat', 0.1, 2, 0.3), share('throat', 0.1, 1, 0.3), NONE), {
        weld: 'fillet',
        overMm: 3,
      }),
      ...(level === 'D' ? [] : [iso('601')('arc strikes', NONE)]),
      iso('507')(
        'misalignment',
        of(share('thickness', 0.25, 5), share('thickness', 0.15, 4), share('thickness', 0.1, 3)),
        { weld: 'groove', overMm: 3 },
      ),
    ],
  }
}

/** Where a welder test is let off to level C. Source: ISO 9606-1:2012, clause 7, from memory. */
const RELAXED: readonly ObservedId[] = ['undercut depth', 'reinforcement', 'convexity', 'stands through']
const byClause7 = (clause: string) => `ISO 9606-1 7: ISO 5817 ${clause}`
const ISO_WELDER: CriteriaSet = {
  id: 'iso 9606',
  name: 'ISO welder test',
  edition: 'ISO 9606-1:2012',
  criteria: iso5817('B')
    .criteria.map(row =>
      RELAXED.includes(row.observed) ? iso5817('C').criteria.find(other => other.id === row.id)! : row,
    )
    .map(row => ({ ...row, clause: byClause7(row.clause) })),
}

/**
 * Criteria that ship, each from memory of its published code: the school checks them against its own copy, and
 * edits a copy of its own.
 * The code in force and the qualified inspector decide.
 */
export const SHIPPED_SETS: readonly CriteriaSet[] = [
  WELDER_TEST,
  PRODUCTION,
  PRESSURE,
  PIPELINE,
  ISO_WELDER,
  iso5817('B'),
  iso5817('C'),
  iso5817('D'),
]

/** A school's own set, as far as what is offered goes. */
export interface OwnSet extends CriteriaSet {
  /** The shipped set that it takes the place of; null for one beside them. */
  readonly supersedes: string | null
  readonly retired: boolean
}

/**
 * What a coupon may be held against: the school's own first; a shipped set that one of them takes the place of is left
 * out.
 */
export function offeredSets(own: readonly OwnSet[]): readonly CriteriaSet[] {
  const living = own.filter(set => !set.retired)
  const superseded = new Set(living.map(set => set.supersedes))
  return [...living, ...SHIPPED_SETS.filter(set => !superseded.has(set.id))]
}

/** The set that a code book's visual is held to: its own, or the school's in its place. */
export const setForVisual = (criteriaId: string, own: readonly OwnSet[]): CriteriaSet | null =>
  offeredSets(own).find(set => set.id === criteriaId || ('supersedes' in set && set.supersedes === criteriaId)) ?? null
