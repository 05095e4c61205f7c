import { defineEventHandler, sendNoContent } from 'h3'

export default defineEventHandler(async event => {
  await clearUserSession(event)
  return sendNoContent(event)
})
