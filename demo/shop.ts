import { ALL_MEANS, type Fixture, type FixtureKind, type HoursWanted, type ShopPlan } from '../core/floor'

/**
 * The made-up school's shop: three rows of booths, and an aisle between the second and the third, where the pipe stands
 * are.
 */
const COLUMNS = 4
const row = (from: number, at: number, pipeStand = false): Fixture[] =>
  Array.from({ length: COLUMNS }, (_, column) => ({
    kind: 'booth',
    booth: from + column,
    column,
    row: at,
    means: { ...ALL_MEANS, pipeStand },
  }))
const thing = (kind: FixtureKind, column: number): Fixture => ({ kind, booth: null, column, row: 2 })

export const DEMO_SHOP: ShopPlan = {
  rooms: [
    {
      name: 'Plate and pipe bay',
      columns: COLUMNS,
      rows: 4,
      fixtures: [
        ...row(1, 0),
        ...row(5, 1),
        thing('oven', 0),
        thing('bend press', 1),
        thing('door', 2),
        thing('grinders', 3),
        ...row(9, 3, true),
      ],
    },
  ],
}

export const DEMO_FAULT = { booth: 11, says: 'extraction fan stopped' } as const

/** What its evening programme asks for. */
export const DEMO_PROGRAMME: readonly HoursWanted[] = [
  { of: 'all work', hours: 120 },
  { of: '2G', hours: 20 },
  { of: '3G', hours: 40 },
]

/** What its clamp meter read, days ago: one panel that reads low, one that is right, and one that is due again. */
export const DEMO_CLAMPS = [
  { booth: 1, panelA: 120, clampA: 126, days: 40 },
  { booth: 2, panelA: 120, clampA: 120, days: 40 },
  { booth: 3, panelA: 110, clampA: 107, days: 400 },
] as const
