import type { JointShape, SectionPoint, StackBead, StackPlan } from '~~/core/deposit'

/**
 * A bead stack as SVG: one drawing unit is one millimetre, y down. A fillet is planned with its face level and
 * drawn as it stands.
 */
export interface StackPaths {
  readonly plate: string
  /** What is under the groove: the backing bar, or the other side of a double V; empty where there is nothing. */
  readonly below: string
  /** The line between a fillet's two plates. */
  readonly seam: string
  readonly box: { readonly x: number; readonly y: number; readonly width: number; readonly height: number }
  /** SVG transform of what is drawn: a fillet is turned. */
  readonly turn: string | undefined
}

/** An outline as a closed path. */
export const outlinePath = (points: readonly SectionPoint[]): string =>
  `${points.map(({ x, y }, n) => `${n === 0 ? 'M' : 'L'}${x.toFixed(2)} ${(-y).toFixed(2)}`).join(' ')} Z`

/** Where a bead's number stands. */
export const beadMiddle = (bead: StackBead): SectionPoint => ({
  x: (bead.fromMm + bead.toMm) / 2,
  y: bead.outline.reduce((sum, point) => sum + point.y, 0) / bead.outline.length,
})

const thicknessOf = (shape: JointShape): number =>
  shape.kind === 'fillet' || shape.kind === 'U' ? shape.thicknessMm : shape.groove.thicknessMm

/** The paths of a planned joint. */
export function stackPaths(plan: StackPlan, shape: JointShape): StackPaths {
  const { floor, gridMm, leftMm, depthMm } = plan.section
  const side = -leftMm
  const top = Array.from(floor, (y, n) => ({ x: leftMm + n * gridMm, y }))
  const below = underneath(plan, shape, side)
  const high = Math.max(3, plan.reinforcementMm + 2)
  if (shape.kind !== 'fillet') {
    const height = high + (shape.kind === 'double V' ? thicknessOf(shape) : depthMm) + (below ? 6 : 2)
    return {
      plate: outlinePath([...top, { x: side, y: -depthMm }, { x: -side, y: -depthMm }]),
      below,
      seam: '',
      box: { x: -side, y: -high, width: 2 * side, height },
      turn: undefined,
    }
  }
  const t = shape.thicknessMm * Math.SQRT1_2
  const [first, last] = [top[0]!, top.at(-1)!]
  const reach = depthMm * Math.SQRT2
  return {
    plate: outlinePath([
      ...top,
      { x: last.x + t, y: last.y - t },
      { x: 0, y: -depthMm - 2 * t },
      { x: first.x - t, y: first.y - t },
    ]),
    below,
    seam: `M0 ${depthMm} L${t} ${depthMm + t}`,
    box: {
      x: -reach - 12,
      y: -reach - 12,
      width: reach + 14 + shape.thicknessMm,
      height: reach + 14 + shape.thicknessMm,
    },
    turn: `rotate(-45) translate(0 ${-depthMm})`,
  }
}

function underneath({ section }: StackPlan, shape: JointShape, side: number): string {
  const { depthMm, edgeMm, floor, gridMm, leftMm } = section
  if (shape.kind === 'V' && shape.backing) {
    const half = Math.min(side, edgeMm + 4)
    return outlinePath([
      { x: -half, y: -depthMm },
      { x: half, y: -depthMm },
      { x: half, y: -depthMm - 5 },
      { x: -half, y: -depthMm - 5 },
    ])
  }
  if (shape.kind !== 'double V') return ''
  const under = Array.from(floor, (y, n) => ({
    x: leftMm + n * gridMm,
    y: Math.min(-depthMm, -shape.groove.thicknessMm - y),
  }))
  return outlinePath([...under, { x: side, y: -depthMm }, { x: -side, y: -depthMm }])
}
