import { defineEventHandler } from 'h3'
import { notFound } from '../http/refuse'

/** An address under /api that no route answers. */
export default defineEventHandler(() => {
  throw notFound('address')
})
