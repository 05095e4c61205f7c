import { ELECTRODES, type Electrode, type Polarity } from './electrodes'

/** One part of a classification as it is printed, and what it says; `wrong` says what would be right. */
export interface ClassificationPart {
  readonly text: string
  readonly means: string
  readonly wrong: string | null
}

export interface ParsedClassification {
  readonly parts: readonly ClassificationPart[]
  /** True when every part is one of A5.1's. */
  readonly ok: boolean
  /** The rod as this school keeps it; null when it is not kept, or the reading is wrong. */
  readonly electrode: Electrode | null
  /** The designation of ISO 2560-B that goes with it; null when the reading is wrong. */
  readonly iso2560B: string | null
}

/** Classes of A5.1 that schools rarely stock: read, but not on a ticket. Source as `ELECTRODES`. */
const OTHER_CLASSES: Readonly<Record<string, { readonly covering: string; readonly currents: readonly Polarity[] }>> = {
  E6019: { covering: 'iron oxide titania potassium', currents: ['AC', 'DCEP', 'DCEN'] },
  E6020: { covering: 'high iron oxide', currents: ['AC', 'DCEN'] },
  E6022: { covering: 'high iron oxide', currents: ['AC', 'DCEN'] },
  E7015: { covering: 'low hydrogen sodium', currents: ['DCEP'] },
  E7027: { covering: 'high iron oxide, iron powder', currents: ['AC', 'DCEN'] },
  E7028: { covering: 'low hydrogen potassium, iron powder', currents: ['AC', 'DCEP'] },
  E7048: { covering: 'low hydrogen potassium, iron powder', currents: ['AC', 'DCEP'] },
}

/** Least tensile and yield strength of the weld metal, as A5.1 and A5.1M print them. */
const STRENGTHS: Readonly<Record<string, string>> = {
  60: 'weld metal of at least 60 ksi (430 MPa) tensile, 48 ksi (330 MPa) yield',
  70: 'weld metal of at least 70 ksi (490 MPa) tensile, 58 ksi (400 MPa) yield',
}

const POSITION_DIGITS: Readonly<Record<string, string>> = {
  1: 'all positions: flat, horizontal, vertical, overhead',
  2: 'flat, and horizontal fillets',
  4: 'flat, horizontal, overhead, and vertical down',
}

/** Longest first, so that H16 is not read as H1 and a 6. */
const SUFFIXES: readonly (readonly [text: string, means: string, on: RegExp])[] = [
  ['-1', 'tougher: tested colder than the plain class', /^E70(16|18|24)$/],
  ['H16', 'at most 16 mL of diffusible hydrogen in 100 g of weld metal', /^E70(15|16|18|28|48)$/],
  ['H8', 'at most 8 mL of diffusible hydrogen in 100 g of weld metal', /^E70(15|16|18|28|48)$/],
  ['H4', 'at most 4 mL of diffusible hydrogen in 100 g of weld metal', /^E70(15|16|18|28|48)$/],
  ['M', 'military: DCEP only, a closed yield range, very dry', /^E7018$/],
  ['R', 'stands damp air: 9 h out of the oven, where the plain rod has 4', /^E70(15|16|18|28|48)$/],
]

/**
 * Reads a classification part by part, as AWS A5.1/A5.1M:2012 builds it (from memory, check your copy).
 * @param text as printed on the rod, like `E7018-1 H4R`; case and spaces do not matter
 * @returns every part with what it means, or what is wrong with it; it never throws
 * @example parseClassification('E7018-1 H4R').parts.map(part => part.text) // ['E', '70', '1', '8', '-1', 'H4', 'R']
 */
export function parseClassification(text: string): ParsedClassification {
  const compact = text.toUpperCase().replace(/\s+/g, '')
  const wrongWhole = (wrong: string): ParsedClassification => ({
    parts: [{ text: text.trim(), means: '', wrong }],
    ok: false,
    electrode: null,
    iso2560B: null,
  })
  if (/^E?3\d\d(L|H|MO|LMO)?-\d\d$/.test(compact))
    return wrongWhole('A stainless rod of AWS A5.4; this reads the carbon steel rods of A5.1')
  const shape = /^(E?)(\d{2})(\d)(\d)(.*)$/.exec(compact)
  if (!shape) return wrongWhole('Not a classification: it is E and four digits, like E7018')
  const [, letter, strength, position, covering, rest] = shape as unknown as [
    string,
    string,
    string,
    string,
    string,
    string,
  ]
  const name = `E${strength}${position}${covering}`
  const kept = (classification: string) => ELECTRODES.find(row => row.classification === classification)
  const base = kept(name) ?? null
  const row = base ?? OTHER_CLASSES[name]
  const heads: ClassificationPart[] = [
    letter === 'E'
      ? { text: 'E', means: 'covered electrode', wrong: null }
      : { text: '', means: '', wrong: 'It starts with E, for electrode' },
    part(strength, STRENGTHS[strength], 'No strength in A5.1: it is 60 or 70; stronger rods are in A5.5'),
    part(position, POSITION_DIGITS[position], 'No position digit: it is 1, 2 or 4'),
    part(
      covering,
      row && `${row.covering}; runs on ${row.currents.join(', ')}`,
      `No covering ${position}${covering} at ${strength} ksi in A5.1`,
    ),
  ]
  const parts = [...heads, ...readSuffixes(rest, name)]
  const ok = parts.every(each => each.wrong === null)
  return {
    parts,
    ok,
    electrode: ok ? (kept(`${name}${/^(-1|M)/.exec(rest)?.[0] ?? ''}`) ?? base) : null,
    iso2560B: ok ? `E${strength === '60' ? '43' : '49'}${position}${covering}` : null,
  }
}

function part(text: string, means: string | undefined, wrong: string): ClassificationPart {
  return means === undefined ? { text, means: '', wrong } : { text, means, wrong: null }
}

function readSuffixes(rest: string, name: string): ClassificationPart[] {
  if (rest === '') return []
  const next = SUFFIXES.find(([text]) => rest.startsWith(text))
  if (!next) return [{ text: rest, means: '', wrong: 'No suffix of A5.1: they are -1, M, H4, H8, H16, R' }]
  const [text, means, on] = next
  return [
    on.test(name) ? { text, means, wrong: null } : { text, means: '', wrong: `${name} has no ${text} in A5.1` },
    ...readSuffixes(rest.slice(text.length), name),
  ]
}
