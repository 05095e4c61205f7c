import type { ToldInSchool } from '../../../contract/causes'
import { toldTallies } from '../../../core/diagnosis'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { signTallies, tellers } from '../../store/signCourses'

/** What came of what was told, by cause and by who told it, beside what the same signs do when left alone. */
export default defineRoute({ who: staff }, async ({ me }): Promise<ToldInSchool> => {
  const [tallies, told] = await Promise.all([signTallies(), tellers(me.sectionIds)])
  return { causes: toldTallies(tallies), tellers: told }
})
