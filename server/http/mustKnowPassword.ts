import type { H3Event } from 'h3'
import type { Me } from '../../contract/people'
import { passwordOf } from '../store/accounts'
import { giveTurnBack, signedInSubjects, takeTurn } from '../store/turns'
import { wrongField } from './refuse'
import { tooManyTries } from './tooManyTries'
import { verifyPassword } from './passwords'

/**
 * Asks for the password once more: a device left signed in is no way to change how one signs in, nor to guess.
 * @param field the field of the body that it was typed into
 */
export async function mustKnowPassword(event: H3Event, me: Me, password: string, field: string): Promise<void> {
  const { passwordHash } = (await passwordOf(me.id))!
  if (passwordHash === '') throw wrongField(field, 'You come in by the school’s own sign-in: there is no password here')
  const { user } = await getUserSession(event)
  const subjects = signedInSubjects(user!.signIn)
  const wait = await takeTurn(subjects)
  if (wait > 0) throw tooManyTries(event, wait, 'ask a lead instructor for a new password')
  if (!(await verifyPassword(passwordHash, password))) throw wrongField(field, 'That is not your password')
  await giveTurnBack(subjects)
}
