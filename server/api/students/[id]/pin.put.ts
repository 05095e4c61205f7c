import { defineEventHandler } from 'h3'
import { pinSchema, type PinSave, type StudentProgress } from '../../../../contract/progress'
import { idIn, requireStaff } from '../../../http/access'
import { readAs } from '../../../http/readAs'
import { notFound, refuse } from '../../../http/refuse'
import { progressOf } from '../../../store/progress'
import { setPin } from '../../../store/pins'

/** Pins what a student runs next, over what is proposed, or takes the pin out. */
export default defineEventHandler(async (event): Promise<StudentProgress> => {
  const me = await requireStaff(event)
  const save = await readAs<PinSave>(event, pinSchema)
  const id = idIn(event, 'student')
  const before = await progressOf(id)
  if (!before) throw notFound('student')
  if (save.rungId !== null && !before.climb.some(state => state.rungId === save.rungId))
    throw refuse(422, 'Not accepted', 'There is no such rung on the ladder.', [
      { path: 'rungId', message: 'There is no such rung on the ladder' },
    ])
  await setPin(id, save, { name: me.name, now: new Date() })
  return (await progressOf(id))!
})
