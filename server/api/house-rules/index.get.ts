import { defineEventHandler } from 'h3'
import { requireSignedIn } from '../../http/access'
import { allRules } from '../../store/houseRules'

/** Every version of the house rules, oldest first. */
export default defineEventHandler(async (event) => {
  await requireSignedIn(event)
  return allRules()
})
