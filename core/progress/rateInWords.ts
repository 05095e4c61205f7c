/**
 * A rate as it may be told a parent or an employer: in words, never as a promise.
 * @param rate 0 to 1
 * @param few whether it rests on too little to say
 * @example rateInWords(0.87, false) // 'reliable'
 */
export function rateInWords(rate: number, few: boolean): string {
  if (few) return 'too little to say'
  if (rate < 0.5) return 'beginning'
  if (rate < 0.7) return 'coming along'
  if (rate < 0.85) return 'mostly sound'
  return rate < 0.95 ? 'reliable' : 'sound nearly always'
}
