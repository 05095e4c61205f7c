import { knownElement } from './signOffRule'
import type { Ladder, LadderRung } from './ladder'

/** What is wrong with a ladder, and where: `rungs[3].needs`. */
export interface LadderFault {
  readonly path: string
  readonly message: string
}

/**
 * What keeps a ladder from being climbed: names or ids twice, needs that are not there or retired, circles, a rung
 * that stands before what it needs.
 * A ladder without faults has no dead end: every rung in use can be reached.
 * @returns none when the ladder is sound
 * @example ladderFaults(FULL_LADDER) // []
 */
export function ladderFaults(ladder: Ladder): LadderFault[] {
  const { rungs } = ladder
  const faults: LadderFault[] = []
  const say = (index: number, field: string, message: string) =>
    faults.push({ path: `rungs[${index}].${field}`, message })
  const byId = new Map(rungs.map(rung => [rung.id, rung]))
  const circles = circlesOf(rungs)
  if (!rungs.some(rung => !rung.retired)) faults.push({ path: 'rungs', message: 'A ladder has at least one rung' })
  rungs.forEach((rung, index) => {
    if (rungs.findIndex(other => other.id === rung.id) < index) say(index, 'id', `Two rungs have the id ${rung.id}`)
    if (rungs.findIndex(other => other.name === rung.name) < index)
      say(index, 'name', `Two rungs are called ${rung.name}`)
    const { signOff } = rung
    if ('element' in signOff && !knownElement(signOff.element))
      say(index, 'signOff', `${rung.name} is signed off by ${signOff.element}, which is not counted in tries`)
    if (rung.retired) return
    for (const id of rung.needs) {
      const needed = byId.get(id)
      if (!needed) say(index, 'needs', `${rung.name} needs ${id}, which is not on this ladder`)
      else if (needed.retired)
        say(index, 'needs', `${rung.name} needs ${needed.name}, which is retired: nobody could reach it`)
      else if (circles.has(rung.id) && circles.get(rung.id)!.includes(id))
        say(
          index,
          'needs',
          `${circles
            .get(rung.id)!
            .concat(rung.id)
            .map(step => byId.get(step)!.name)
            .join(' needs ')}: a circle that nobody can enter`,
        )
      else if (rungs.indexOf(needed) > index)
        say(index, 'needs', `${rung.name} stands before ${needed.name}, which it needs`)
    }
  })
  return faults
}

/** For each rung on a circle, the circle from it: the rung, what it needs, and so on back to before itself. */
function circlesOf(rungs: readonly LadderRung[]): Map<string, string[]> {
  const needs = new Map(rungs.filter(rung => !rung.retired).map(rung => [rung.id, rung.needs]))
  const back = (from: string): string[] | null => {
    const seen = new Set<string>()
    const walk = (id: string, path: string[]): string[] | null => {
      for (const next of needs.get(id) ?? []) {
        if (next === from) return path
        if (seen.has(next)) continue
        seen.add(next)
        const found = walk(next, [...path, next])
        if (found) return found
      }
      return null
    }
    return walk(from, [from])
  }
  return new Map(
    [...needs.keys()].flatMap(id => {
      const circle = back(id)
      return circle ? [[id, circle] as const] : []
    }),
  )
}
