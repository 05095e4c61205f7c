import { validate as isId } from 'uuid'
import { closeDatabase } from '../../server/store/database'
import { rebuildDerived } from '../../server/store/rebuild'

/** Derives every counted row again: all, or what comes after the coupon that is named. Ctrl-C stops it between two. */
const [after] = process.argv.slice(2)
if (after && !isId(after)) throw new Error(`"${after}" is no coupon’s id: name the one that a stopped rebuild told`)
const stopped = new AbortController()
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    stopped.abort()
    console.log('  stopping after this batch …')
  })

const { read, of, last, whole } = await rebuildDerived({
  ...(after && { after }),
  over: stopped.signal,
  told: sofar => console.log(`  ${sofar.read} of ${sofar.of} coupons`),
})
await closeDatabase()
console.log(
  whole
    ? `${read} coupons read; evidence and flaws derived again.`
    : `Stopped after ${read} of ${of}. What is done stays. To go on: npm run rebuild -- ${last}`,
)
