import { outOfTurn } from '../../../../core/ladder'
import { signOffSchema, type StudentProgress } from '../../../../contract/progress'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { refuse, wrongField } from '../../../http/refuse'
import { progressOf } from '../../../store/progress'
import { addSignOff } from '../../../store/signOffs'

const SAID = { early: 'The rule is not met yet', late: 'The rule was met several coupons ago' } as const

/** Signs a rung off in the instructor's name. Early or late, it says why. */
export default defineRoute(
  { who: staff, did: 'signed a rung off', newId: 'sign-off', takes: signOffSchema },
  async ({ me, id, body: save }): Promise<StudentProgress> => {
    const progress = await progressOf(save.studentId)
    if (!progress) throw wrongField('studentId', 'There is no such student')
    const rung = progress.climb.find(state => state.rungId === save.rungId)
    if (!rung) throw wrongField('rungId', 'There is no such rung on the ladder')
    const turn = outOfTurn(rung)
    if (turn && !save.why) throw wrongField('why', `${SAID[turn]}: say why it is signed off now`)
    const stood = `${rung.says}; ${rung.good} of ${rung.coupons} coupons good`
    if (!(await addSignOff(id, save, { outOfTurn: turn, stood, by: me.name, now: new Date() })))
      throw refuse(409, 'Signed off already', 'This rung is signed off already.')
    return (await progressOf(save.studentId))!
  },
)
