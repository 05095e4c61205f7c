import { expect, it } from 'vitest'
import { saidByCoupons } from '.'

it('what is held against a result is what the coupons alone said; what was told stands where nothing else is kept', () => {
  const told = { visual: 0.8, bends: 0.9, low: 0.5, high: 0.9 }
  expect(saidByCoupons({ ...told, byCoupons: { visual: 0.75, bends: 0.85 } })).toEqual({ visual: 0.75, bends: 0.85 })
  expect(saidByCoupons(told)).toEqual({ visual: 0.8, bends: 0.9 })
  const bySide = { visual: 0.6, face: 0.8, root: 0.75, bends: 0.85 }
  expect(saidByCoupons({ ...told, byCoupons: bySide })).toEqual(bySide)
})
