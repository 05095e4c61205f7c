import { inches } from '../units'
import type { RodLot } from './lot'

/** A box of a hundred low-hydrogen rods at 30.00, changed where wanted. */
export const aLot = (change: Partial<RodLot> = {}): RodLot => ({
  id: 'lot',
  classification: 'E7018',
  diameterMm: inches(1 / 8),
  makersLot: '4711',
  resistant: false,
  receivedOn: '2026-09-01',
  openedOn: '2026-09-02',
  rodsInBox: 100,
  boxPriceCents: 3000,
  place: 'oven 1',
  ...change,
})
