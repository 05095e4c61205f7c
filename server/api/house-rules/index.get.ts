import { defineEventHandler } from 'h3'
import { requireReader } from '../../http/reader'
import { allRules } from '../../store/houseRules'

/** Every version of the house rules, oldest first. */
export default defineEventHandler(async event => {
  await requireReader(event)
  return allRules()
})
