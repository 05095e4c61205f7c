import { pinSchema, type StudentProgress } from '../../../../contract/progress'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { wrongField, found } from '../../../http/refuse'
import { setPin } from '../../../store/pins'
import { progressOf } from '../../../store/progress'

/** Pins what a student runs next, over what is proposed, or takes the pin out. */
export default defineRoute(
  { who: staff, did: 'pinned the next rung', id: 'student', takes: pinSchema },
  async ({ me, id, body: save }): Promise<StudentProgress> => {
    const before = found(await progressOf(id), 'student')
    if (save.rungId !== null && !before.climb.some(state => state.rungId === save.rungId))
      throw wrongField('rungId', 'There is no such rung on the ladder')
    await setPin(id, save, { name: me.name, now: new Date() })
    return (await progressOf(id))!
  },
)
