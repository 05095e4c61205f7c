import Bowser from 'bowser'
import { getHeader, type H3Event } from 'h3'

const LONGEST = 80

/**
 * What a request comes from, as far as its browser says.
 * @example deviceOf(event) // 'Chrome on Android'
 */
export function deviceOf(event: H3Event): string {
  const said = getHeader(event, 'user-agent')
  if (!said) return 'something that is no browser'
  const { browser, os } = Bowser.parse(said)
  const words = [browser.name, os.name].filter(Boolean).join(' on ')
  return (words || 'something that is no browser').slice(0, LONGEST)
}
