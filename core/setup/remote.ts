/**
 * Current at the arc when a foot or hand remote scales the panel. Source: common practice.
 * @param limitA panel setting, A
 * @param percent remote, 0 to 100
 * @throws RangeError that names what is out of range
 * @example remoteCurrent(200, 40) // 80
 */
export function remoteCurrent(limitA: number, percent: number): number {
  if (!(limitA > 0)) throw new RangeError('The panel limit is more than 0 A')
  if (!(percent >= 0 && percent <= 100)) throw new RangeError('A remote runs from 0 to 100 %')
  return (limitA * percent) / 100
}

/**
 * Where a remote stands to give a current.
 * @returns per cent, 0 to 100
 * @throws RangeError when the panel limit is under the current
 * @example remotePercent(200, 80) // 40
 */
export function remotePercent(limitA: number, currentA: number): number {
  if (!(limitA > 0)) throw new RangeError('The panel limit is more than 0 A')
  if (!(currentA >= 0)) throw new RangeError('Current is 0 A or more')
  if (currentA > limitA) throw new RangeError(`The panel stops at ${limitA} A: turn it up to ${currentA} A or more`)
  return (currentA / limitA) * 100
}
