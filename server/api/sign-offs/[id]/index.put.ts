import { defineEventHandler, getRouterParam } from 'h3'
import { outOfTurn } from '../../../../core/ladder'
import { uuid } from '../../../../contract/fields'
import { signOffSchema, type SignOffSave, type StudentProgress } from '../../../../contract/progress'
import { requireStaff } from '../../../http/access'
import { parseAs, readAs } from '../../../http/readAs'
import { refuse } from '../../../http/refuse'
import { progressOf } from '../../../store/progress'
import { addSignOff } from '../../../store/signOffs'

const SAID = { early: 'The rule is not met yet', late: 'The rule was met several coupons ago' } as const

/** Signs a rung off in the instructor's name. Early or late, it says why. */
export default defineEventHandler(async (event): Promise<StudentProgress> => {
  const me = await requireStaff(event)
  const id = await parseAs<string>(getRouterParam(event, 'id'), uuid().label('id').required())
  const save = await readAs<SignOffSave>(event, signOffSchema)
  const progress = await progressOf(save.studentId)
  if (!progress) throw wrong('studentId', 'There is no such student')
  const rung = progress.climb.find(state => state.rungId === save.rungId)
  if (!rung) throw wrong('rungId', 'There is no such rung on the ladder')
  const turn = outOfTurn(rung)
  if (turn && !save.why) throw wrong('why', `${SAID[turn]}: say why it is signed off now`)
  const stood = `${rung.says}; ${rung.good} of ${rung.coupons} coupons good`
  if (!(await addSignOff(id, save, { outOfTurn: turn, stood, by: me.name, now: new Date() })))
    throw refuse(409, 'Signed off already', 'This rung is signed off already.')
  return (await progressOf(save.studentId))!
})

const wrong = (path: string, message: string) => refuse(422, 'Not accepted', `${message}.`, [{ path, message }])
