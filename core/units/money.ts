/** Currencies that a price can be in, by ISO 4217; those whose hundredths are money of their own. */
export const CURRENCIES = ['USD', 'CAD', 'MXN', 'GBP', 'EUR', 'CHF', 'SEK', 'NOK', 'AUD', 'NZD', 'ZAR', 'INR'] as const
export type Currency = (typeof CURRENCIES)[number]

/**
 * An amount of money with its currency.
 * @param cents hundredths of it
 * @returns as it is written in English
 * @example formatMoney(1250, 'EUR') // '€12.50'
 */
export const formatMoney = (cents: number, currency: Currency): string =>
  new Intl.NumberFormat('en', { style: 'currency', currency }).format(cents / 100)
