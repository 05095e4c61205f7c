import { rodMovementSchema } from '../../../contract/rodRoom'
import type { SaidOfRods } from '../../../core/rodRoom'
import { staff } from '../../http/access'
import { doneAt } from '../../http/doneAt'
import { defineRoute } from '../../http/defineRoute'
import { refuse, wrongField } from '../../http/refuse'
import { writeMovement } from '../../store/rodRoom'
import { findStudent } from '../../store/students'

/** Writes into the book of the rod room what happened to rods; answers what the store then holds of the lot. */
export default defineRoute(
  { who: staff, did: 'wrote into the rod room’s book', newId: 'line', takes: rodMovementSchema },
  async ({ me, id, body, event }) => {
    const said = body as SaidOfRods
    if (said.studentId !== null && !(await findStudent(said.studentId)))
      throw wrongField('studentId', 'There is no such student')
    const written = await writeMovement(id, said, { name: me.name, now: doneAt(event) })
    if (!written) throw wrongField('lotId', 'There is no such lot')
    if (written.is === 'refused') throw refuse(409, 'Not with these rods', `${written.why}.`)
    return { stock: written.stock }
  },
)
