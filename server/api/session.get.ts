import { defineEventHandler } from 'h3'
import { requireSignedIn } from '../http/access'

export default defineEventHandler(requireSignedIn)
