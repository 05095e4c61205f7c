/**
 * Odds as people read them rightly: out of ten, never a promise.
 * @example sayOdds(0.68) // 'about 7 of 10'
 */
export function sayOdds(odds: number): string {
  if (odds < 0.05) return 'fewer than 1 of 20'
  if (odds > 0.95) return 'more than 19 of 20'
  return `about ${Math.max(1, Math.min(9, Math.round(odds * 10)))} of 10`
}
