/** A bead run in the drill and what it looked like. Current A, lengths mm. */
export interface DrillBead {
  readonly currentA: number
  readonly widthMm: number
  readonly heightMm: number
  /** Rolled over: cold at the edges. Cut: burnt away. */
  readonly toes: 'wetted in' | 'rolled over' | 'undercut'
}

/** The bead that is looked for. */
export interface DrillTarget {
  readonly widthMm: { readonly low: number; readonly high: number }
  readonly heightMm: { readonly low: number; readonly high: number }
  readonly window: { readonly lowA: number; readonly highA: number }
}

export interface DrillStep {
  readonly done: boolean
  /** What to set for the next bead, or what was found. A. */
  readonly nextA: number
  readonly say: string
  /** How hot each bead read, in the order given: 0 right, over 0 hot, under 0 cold. */
  readonly heats: readonly number[]
}

/** A bead within this of right is as right as it is read. */
const RIGHT = 0.25
/** Currents this close are the same setting, A. */
const SAME_A = 3
const toFive = (amperes: number) => Math.round(amperes / 5) * 5

/**
 * How hot a bead reads: wide and flat with cut toes is hot, narrow and tall with rolled toes is cold. Width and
 * height count by how far they lie
 * from the middle of what is wanted, in halves of its range; toes count one. Source: common practice.
 * @returns 0 right, 1 plainly hot, −1 plainly cold
 * @example beadHeat({ currentA: 140, widthMm: 8, heightMm: 2, toes: 'undercut' }, target) // over 0
 */
export function beadHeat({ widthMm, heightMm, toes }: DrillBead, target: DrillTarget): number {
  const off = (value: number, { low, high }: { low: number; high: number }) =>
    (value - (low + high) / 2) / ((high - low) / 2 || 1)
  const edges = toes === 'undercut' ? 1 : toes === 'rolled over' ? -1 : 0
  return (off(widthMm, target.widthMm) - off(heightMm, target.heightMm) + edges) / 3
}

/**
 * The drill's next step: hot, cold, then between by straight lines between the nearest hot and cold bead, until two
 * beads agree.
 * @param beads in the order they were run
 * @throws RangeError when a bead has no current, width or height
 * @example nextDrillStep([], target).nextA // the top of the window
 */
export function nextDrillStep(beads: readonly DrillBead[], target: DrillTarget): DrillStep {
  for (const [index, bead] of beads.entries())
    if (!(bead.currentA > 0 && bead.widthMm > 0 && bead.heightMm > 0))
      throw new RangeError(`Bead ${index + 1}: current, width and height are more than 0`)
  const { lowA, highA } = target.window
  const heats = beads.map(bead => beadHeat(bead, target))
  const step = (nextA: number, say: string, done = false): DrillStep => ({
    done,
    nextA: done ? Math.round(nextA) : toFive(nextA),
    say,
    heats,
  })
  if (beads.length === 0) return step(highA, 'Run one too hot on purpose')
  const right = beads.filter((_, index) => Math.abs(heats[index]!) <= RIGHT)
  const [twoA, twoB] = right.slice(-2)
  if (twoA && twoB && Math.abs(twoA.currentA - twoB.currentA) <= 2 * SAME_A)
    return step((twoA.currentA + twoB.currentA) / 2, 'Two beads agree: keep it', true)
  const hot = closest(beads, heats, heat => heat > RIGHT)
  const cold = closest(beads, heats, heat => heat < -RIGHT)
  if (right.length > 0) return step(right.at(-1)!.currentA, 'This one reads right: run another to be sure')
  if (!hot)
    return step(Math.max(highA, Math.max(...beads.map(bead => bead.currentA)) + 10), 'Still cold: run one hotter')
  if (!cold)
    return step(
      Math.min(lowA, Math.min(...beads.map(bead => bead.currentA)) - 10),
      beads.length === 1 ? 'Now one too cold on purpose' : 'Still hot: run one colder',
    )
  if (hot.currentA <= cold.currentA)
    return step(
      (hot.currentA + cold.currentA) / 2,
      'Less current reads hotter: watch arc length and speed, and run this one',
    )
  const share = -cold.heat / (hot.heat - cold.heat)
  const between = cold.currentA + share * (hot.currentA - cold.currentA)
  if (hot.currentA - cold.currentA <= SAME_A)
    return step((hot.currentA + cold.currentA) / 2, 'Hot and cold are one setting apart: keep between them', true)
  return step(Math.min(Math.max(between, cold.currentA + 2.5), hot.currentA - 2.5), 'Now between')
}

/** The bead nearest to right on one side; null when there is none. */
function closest(
  beads: readonly DrillBead[],
  heats: readonly number[],
  side: (heat: number) => boolean,
): { currentA: number; heat: number } | null {
  const found = beads
    .map((bead, index) => ({ currentA: bead.currentA, heat: heats[index]! }))
    .filter(row => side(row.heat))
  return found.sort((a, b) => Math.abs(a.heat) - Math.abs(b.heat))[0] ?? null
}
