import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { seededRandom } from '../statistics'
import { CAUSES, infer, schoolPriors, SIGNS, widthOf, type Network, type SignFinding } from '.'
import { networkOf } from './network'

/** Numbers of eighty places after the point. */
const PLACES = 80n
const ONE = 10n ** PLACES
const times = (a: bigint, b: bigint) => (a * b) / ONE
/** A double is a whole number over a power of two: it is taken as it is. */
function big(value: number): bigint {
  let [whole, power] = [value, 0n]
  while (!Number.isInteger(whole)) {
    whole *= 2
    power++
  }
  return (BigInt(whole) * ONE) / 2n ** power
}

/**
 * The alternating sum over the subsets of seen signs (Heckerman 1989, the quickscore sum), in eighty-digit arithmetic:
 * what cancels there leaves some sixty digits.
 */
function alternatingSum({ priors, signs }: Network, findings: readonly SignFinding[]): number[] {
  const seen = findings.filter(finding => finding.seen)
  const silent = priors.map((_, cause) =>
    findings
      .filter(finding => !finding.seen)
      .reduce(
        (product, { sign, slip }) => times(product, ONE - times(big(signs[sign]!.shows[cause]!), ONE - big(slip))),
        ONE,
      ),
  )
  const hides = seen.map(({ sign }) => signs[sign]!.shows.map(chance => ONE - big(chance)))
  const terms = seen.map(
    ({ sign, slip, leakTimes = 1 }) => -times(ONE - big(slip), ONE - big(signs[sign]!.leak * leakTimes)),
  )
  const sums = priors.map(() => 0n)
  let total = 0n
  const visit = (from: number, weight: bigint, kept: readonly bigint[]) => {
    const parts = priors.map((prior, cause) => times(big(prior), kept[cause]!))
    const wholes = priors.map((prior, cause) => ONE - big(prior) + parts[cause]!)
    const product = wholes.reduce(times, weight)
    total += product
    parts.forEach((part, cause) => {
      sums[cause]! += (product * part) / wholes[cause]!
    })
    for (let n = from; n < seen.length; n++)
      visit(
        n + 1,
        times(weight, terms[n]!),
        kept.map((one, cause) => times(one, hides[n]![cause]!)),
      )
  }
  visit(0, ONE, silent)
  return sums.map(sum => Number((sum * 10n ** 18n) / total) / 1e18)
}

/** Findings as a coupon gives them: so many seen, some of them by a slip, most of the rest looked for. */
function drawFindings(seed: number, seen: number): SignFinding[] {
  const random = seededRandom(seed)
  const order = SIGNS.map((_, sign) => ({ sign, at: random.uniform() })).sort((a, b) => a.at - b.at)
  return order.flatMap(({ sign }, n): SignFinding[] => {
    if (n < seen) return [{ sign, seen: true, slip: 0.3 * random.uniform(), leakTimes: 0.02 + 0.98 * random.uniform() }]
    return random.chance(0.7) ? [{ sign, seen: false, slip: 0.2 }] : []
  })
}

const network = networkOf(schoolPriors({}))

describe('the posterior of the shipped network', () => {
  it.each([0, 1, 2, 4, 6, 8, 10])('with %d signs seen is that of an eighty-digit sum, to nine places', count => {
    for (const seed of [1, 2, 3].slice(0, count > 6 ? 1 : 3)) {
      const findings = drawFindings(seed, count)
      const exact = alternatingSum(network, findings)
      infer(network, findings).odds.forEach((odds, cause) => expect(Math.abs(odds - exact[cause]!)).toBeLessThan(1e-9))
    }
  })

  it('with every sign seen that a coupon can show, comes out the same in any order of causes', () => {
    const findings = SIGNS.flatMap(({ lookedFor }, sign): SignFinding[] =>
      lookedFor === 'asked' ? [] : [{ sign, seen: true, slip: 0.1, leakTimes: 0.5 }],
    )
    const straight = infer(network, findings).odds
    const turned: Network = {
      priors: [...network.priors].reverse(),
      signs: network.signs.map(({ leak, shows }) => ({ leak, shows: [...shows].reverse() })),
    }
    const back = [...infer(turned, [...findings].reverse()).odds].reverse()
    straight.forEach((odds, cause) => {
      expect(odds).toBeGreaterThanOrEqual(0)
      expect(odds).toBeLessThanOrEqual(1)
      expect(Math.abs(odds - back[cause]!)).toBeLessThan(1e-9)
    })
  })

  it('has few signs open at once, whatever a coupon shows', () => {
    const all = SIGNS.map((_, sign): SignFinding => ({ sign, seen: true, slip: 0.1 }))
    expect(
      widthOf(
        network,
        all.filter(({ sign }) => SIGNS[sign]!.lookedFor !== 'asked'),
      ),
    ).toBeLessThanOrEqual(22)
    expect(widthOf(network, drawFindings(5, 6))).toBeLessThanOrEqual(6)
  })
})

/** Every state of every cause, one by one. */
function byEnumeration({ priors, signs }: Network, found: readonly SignFinding[]): number[] {
  const sums = priors.map(() => 0)
  let total = 0
  for (let state = 0; state < 1 << priors.length; state++) {
    let chance = 1
    priors.forEach((prior, cause) => {
      chance *= state & (1 << cause) ? prior : 1 - prior
    })
    for (const { sign, seen, slip } of found) {
      const { leak, shows } = signs[sign]!
      const share = seen ? 1 : 1 - slip
      const absent = shows.reduce(
        (product, show, cause) => (state & (1 << cause) ? product * (1 - show * share) : product),
        1 - leak * share,
      )
      chance *= seen ? 1 - absent + slip * absent : absent
    }
    total += chance
    priors.forEach((_, cause) => {
      if (state & (1 << cause)) sums[cause]! += chance
    })
  }
  return sums.map(sum => sum / total)
}

describe('any network', () => {
  const unit = fc.double({ min: 0.01, max: 0.95, noNaN: true })
  const chance = fc.oneof({ weight: 1, arbitrary: fc.constant(0) }, { weight: 2, arbitrary: unit })
  it('agrees with adding up every state', () => {
    const drawn = fc.record({
      priors: fc.array(unit, { minLength: 6, maxLength: 6 }),
      signs: fc.array(fc.record({ leak: unit, shows: fc.array(chance, { minLength: 6, maxLength: 6 }) }), {
        minLength: 9,
        maxLength: 9,
      }),
    })
    const found = fc.array(fc.record({ seen: fc.boolean(), slip: fc.double({ min: 0, max: 0.9, noNaN: true }) }), {
      minLength: 9,
      maxLength: 9,
    })
    fc.assert(
      fc.property(drawn, found, (net, looks) => {
        const findings = looks.map((look, sign) => ({ ...look, sign }))
        const exact = byEnumeration(net, findings)
        infer(net, findings).odds.forEach((odds, cause) => expect(odds).toBeCloseTo(exact[cause]!, 10))
      }),
      { numRuns: 150 },
    )
  })
  it('with nothing found is its priors', () => expect(infer(network, []).odds[0]).toBeCloseTo(CAUSES[0]!.prior, 12))
  it('a sign that no cause shows says nothing', () => {
    const net: Network = {
      priors: [0.2, 0.3],
      signs: [
        { leak: 0.1, shows: [0, 0] },
        { leak: 0, shows: [1, 0] },
      ],
    }
    expect(infer(net, [{ sign: 0, seen: true, slip: 0 }]).odds).toEqual([0.2, 0.3].map(p => expect.closeTo(p, 12)))
    expect(
      infer(
        net,
        [0, 1].map(sign => ({ sign, seen: true, slip: 0 })),
      ).odds[0],
    ).toBeCloseTo(1, 12)
  })
  it('refuses what cannot have come about', () => {
    const net: Network = { priors: [0.5], signs: [{ leak: 0, shows: [0] }] }
    expect(() => infer(net, [{ sign: 0, seen: true, slip: 0 }])).toThrow(RangeError)
  })
})
