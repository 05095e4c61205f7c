import type { HandedTablet } from '../../../contract/tablets'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { handedTablets } from '../../store/tablets'

/** The tablets that are out, in the sections that one teaches. */
export default defineRoute({ who: staff }, ({ me }): Promise<HandedTablet[]> => handedTablets(me.sectionIds))
