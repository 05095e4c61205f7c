import { defineEventHandler } from 'h3'
import { requireSignedIn } from '../../http/access'
import { currentLadder } from '../../store/ladder'

/** The ladder in force. */
export default defineEventHandler(async event => {
  await requireSignedIn(event)
  return currentLadder()
})
