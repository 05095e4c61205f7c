import { expect, it } from 'vitest'
import { whereTo } from './whereTo'

it('leads on to a page of our own, and nowhere else', () => {
  expect(whereTo({ to: '/bench?coupon=1' })).toBe('/bench?coupon=1')
  for (const to of ['//evil.example', '/\\evil.example', 'https://evil.example', '', undefined, ['/a', '/b']])
    expect(whereTo({ to } as never)).toBe('/')
})
