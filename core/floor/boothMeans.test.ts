import { expect, it } from 'vitest'
import { ALL_MEANS, boothLacks, type BoothMeans, type BoothNeed } from '.'

const PAD: BoothNeed = { piece: 'pad', position: '4G', currentA: 125, polarity: 'DCEP' }

it.each<[string, Partial<BoothMeans>, Partial<BoothNeed>]>([
  ['', {}, {}],
  ['does not hold a plate overhead', { lies: ['1G', '2G'] }, {}],
  ['does not hold a plate horizontal', { lies: ['1G'] }, { piece: 'T', position: '2F' }],
  ['', { lies: ['1G'] }, { position: '1G' }],
  ['has no pipe stand', { pipeStand: false }, { piece: 'pipe butt', position: '5G' }],
  // A pipe in a stand lies as the stand holds it, not as the table holds plates.
  ['', { lies: ['1G'] }, { piece: 'pipe butt', position: '6G' }],
  ['', { pipeStand: false }, { piece: 'pipe to plate', position: '2F' }],
  ['has no AC', { ac: false }, { polarity: 'AC' }],
  ['gives no more than 120 A', { mostA: 120 }, {}],
  ['', { mostA: 125 }, {}],
])('says what a booth lacks: “%s”', (says, means, need) => {
  expect(boothLacks({ ...ALL_MEANS, ...means }, { ...PAD, ...need })).toBe(says)
})
