import type { Electrode } from './electrodes'
import { ELECTRODES } from './electrodes'

export interface Classification {
  readonly electrode: Electrode
  /** Least tensile strength of the weld metal, ksi. */
  readonly tensileKsi: number
  /** 1 all, 2 flat and horizontal fillet, 4 all but vertical up. */
  readonly positionDigit: 1 | 2 | 4
  readonly suffixes: readonly string[]
}

const SHAPE = /^E(\d{2})(\d)(\d)(.*)$/
const SUFFIXES = ['-1', 'M', 'H16', 'H8', 'H4', 'R'] as const

/**
 * Reads a classification part by part, as AWS A5.1/A5.1M:2012 builds it (from memory, check your copy).
 * @param text as printed on the rod, like `E7018-1 H4R`; case and spaces do not matter
 * @throws RangeError that names the part that is wrong
 * @example decodeClassification('E7018-1 H4R').suffixes // ['-1', 'H4', 'R']
 */
export function decodeClassification(text: string): Classification {
  const compact = text.toUpperCase().replace(/\s+/g, '')
  const parts = SHAPE.exec(compact)
  if (!parts) throw new RangeError(`"${text}" is not a classification; it starts with E and four digits, like E7018`)
  const [, strength, position, , rest] = parts
  if (strength !== '60' && strength !== '70') throw new RangeError(`"${strength}" is no strength in A5.1; it is 60 or 70`)
  if (position !== '1' && position !== '2' && position !== '4') throw new RangeError(`"${position}" is no position digit; it is 1, 2 or 4`)
  const name = compact.slice(0, 5)
  const electrode = ELECTRODES.find(candidate => candidate.classification === name)
  if (!electrode) throw new RangeError(`No covering "${compact.slice(3, 5)}" at ${strength} ksi is kept here`)
  return { electrode, tensileKsi: Number(strength), positionDigit: Number(position) as 1 | 2 | 4, suffixes: readSuffixes(rest ?? '', text) }
}

function readSuffixes(rest: string, text: string): string[] {
  const found: string[] = []
  let left = rest
  while (left) {
    const next = SUFFIXES.find(suffix => left.startsWith(suffix))
    if (!next) throw new RangeError(`"${left}" at the end of "${text}" is no suffix; they are -1, M, H4, H8, H16, R`)
    found.push(next)
    left = left.slice(next.length)
  }
  return found
}
