import { defineEventHandler } from 'h3'
import { requireSignedIn } from '../../http/access'
import { schoolBooks } from '../../store/codeBooks'

/** Every version of the school's own code books; the shipped ones come with the application. */
export default defineEventHandler(async event => {
  await requireSignedIn(event)
  return schoolBooks()
})
