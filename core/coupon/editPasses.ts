import { MOST_PASSES, type Pass } from './pass'

/** A number that no pass has yet. */
const freshId = (passes: readonly Pass[]): string =>
  `p${1 + Math.max(0, ...passes.map(pass => Number(pass.id.slice(1)) || 0))}`

/**
 * Adds a pass after one, alike in all but what was logged of it. A second root or hot pass is none: what follows
 * them is fill.
 * @throws RangeError when there is no such pass, or there are as many as are kept
 * @example addPass(passes, 'p3').length // one more
 */
export function addPass(passes: readonly Pass[], afterId: string): Pass[] {
  if (passes.length >= MOST_PASSES) throw new RangeError(`At most ${MOST_PASSES} passes are kept`)
  const index = passes.findIndex(pass => pass.id === afterId)
  const last = passes[index]
  if (!last) throw new RangeError(`This coupon has no pass "${afterId}"`)
  const { log: _, ...alike } = last
  const rooted = last.role === 'root' || last.role === 'hot'
  const added: Pass = {
    ...alike,
    id: freshId(passes),
    role: rooted ? 'fill' : last.role,
    layer: rooted ? last.layer + 1 : last.layer,
  }
  const after = passes
    .slice(index + 1)
    .map(pass => (rooted && pass.face === last.face ? { ...pass, layer: pass.layer + 1 } : pass))
  return [...passes.slice(0, index + 1), added, ...after]
}

/**
 * Takes a pass away; layers that are left empty close up.
 * @throws RangeError for the last pass there is
 */
export function removePass(passes: readonly Pass[], id: string): Pass[] {
  if (passes.length <= 1) throw new RangeError('A joint has at least one pass')
  const gone = passes.find(pass => pass.id === id)
  const left = passes.filter(pass => pass.id !== id)
  if (!gone || left.some(pass => pass.face === gone.face && pass.layer === gone.layer)) return left
  return left.map(pass =>
    pass.face === gone.face && pass.layer > gone.layer ? { ...pass, layer: pass.layer - 1 } : pass,
  )
}
