import { tryRodUse, type RodUseScore } from '../../demo/rodUseTrial'

/** What coming weeks use of rods, in terms of made-up schools: how often the range that was said holds it. */
const SEEDS = [31, 32, 33, 34, 35, 36, 37, 38]
const ASKED = [
  [4, 2],
  [6, 2],
  [8, 2],
  [6, 4],
] as const

const said = ({ held, off }: RodUseScore) => `held ${held.toFixed(2)}, off by ${(100 * off).toFixed(0)} %`
for (const stubDays of [false, true]) {
  const { byLadder, byBook } = tryRodUse({ seeds: SEEDS, stubDays, asked: ASKED })
  console.log(
    `rods of coming weeks, ${stubDays ? 'with' : 'without'} stub days, ${byLadder.said} ranges (aim: held 0.80): ` +
      `${said(byLadder)}; by the book alone ${said(byBook)}`,
  )
}
