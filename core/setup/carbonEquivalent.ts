/** A steel's analysis, mass per cent. */
export interface Analysis {
  readonly C: number
  readonly Mn: number
  readonly Si: number
  readonly Cr: number
  readonly Mo: number
  readonly V: number
  readonly Ni: number
  readonly Cu: number
}

/** The carbon equivalents in use. They are not the same number: say which. */
export interface CarbonEquivalents {
  /** C + Mn/6 + (Cr+Mo+V)/5 + (Ni+Cu)/15. Source: IIW. */
  readonly iiw: number
  /** C + (Mn+Si)/6 + (Cr+Mo+V)/5 + (Ni+Cu)/15. Source: AWS D1.1 annex on preheat, from memory. */
  readonly d11: number
  /** C + Si/30 + (Mn+Cu+Cr)/20 + Ni/60 + Mo/15 + V/10, boron left out. Source: Ito and Bessyo's Pcm. */
  readonly pcm: number
  /** C + (Mn+Mo)/10 + (Cr+Cu)/20 + Ni/40. Source: EN 1011-2, from memory. */
  readonly cet: number
}

/**
 * Carbon equivalents of an analysis.
 * @throws RangeError naming the element that is out of range
 * @example carbonEquivalents(steel).iiw // 0.4353
 */
export function carbonEquivalents(analysis: Analysis): CarbonEquivalents {
  for (const [element, percent] of Object.entries(analysis))
    if (!(percent >= 0 && percent <= 30)) throw new RangeError(`${element}: from 0 to 30 %`)
  const { C, Mn, Si, Cr, Mo, V, Ni, Cu } = analysis
  return {
    iiw: C + Mn / 6 + (Cr + Mo + V) / 5 + (Ni + Cu) / 15,
    d11: C + (Mn + Si) / 6 + (Cr + Mo + V) / 5 + (Ni + Cu) / 15,
    pcm: C + Si / 30 + (Mn + Cu + Cr) / 20 + Ni / 60 + Mo / 15 + V / 10,
    cet: C + (Mn + Mo) / 10 + (Cr + Cu) / 20 + Ni / 40,
  }
}
