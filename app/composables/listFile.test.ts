import { expect, it } from 'vitest'
import { decodeText, plainHeading } from './listFile'

it('reads Latin-1 as well as UTF-8', () => {
  expect(decodeText(new TextEncoder().encode('Zoë').buffer as ArrayBuffer)).toBe('Zoë')
  expect(decodeText(Uint8Array.from([0x5a, 0x6f, 0xeb]).buffer)).toBe('Zoë')
})

it('knows a column by its letters alone', () => {
  expect(plainHeading(' Maker’s LOT (no.) ')).toBe('maker s lot no')
})
