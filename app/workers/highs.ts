import highsLoader from 'highs'
import runtime from 'highs/runtime?url'
import { solverOf } from '~~/core/integerProgram/highs'

/** HiGHS as it runs in a browser's worker. @param seconds longest that it looks for a better answer */
export const highsSolver = async (seconds: number, options: Readonly<Record<string, number>> = {}) =>
  solverOf(await highsLoader({ locateFile: () => runtime }), { time_limit: seconds, ...options })
