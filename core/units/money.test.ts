import { describe, expect, it } from 'vitest'
import { CURRENCIES, formatMoney } from '.'

// ISO 4217 codes and their minor units, as the platform's own tables have them.
describe('money', () => {
  it.each([
    [1250, 'USD', '$12.50'],
    [1250, 'EUR', '€12.50'],
    [5, 'GBP', '£0.05'],
    [123_456, 'CAD', 'CA$1,234.56'],
    [0, 'SEK', 'SEK 0.00'],
  ] as const)('%d hundredths of %s are %s', (cents, currency, says) =>
    expect(formatMoney(cents, currency).replace(/\u00a0/g, ' ')).toBe(says),
  )
  it('is kept in hundredths, in every currency there is', () => {
    for (const currency of CURRENCIES) {
      const { maximumFractionDigits } = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions()
      expect(maximumFractionDigits, currency).toBe(2)
    }
  })
})
