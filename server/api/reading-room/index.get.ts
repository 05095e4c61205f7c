import { defineEventHandler } from 'h3'
import { requireReader } from '../../http/reader'
import { beadAnswersOf } from '../../store/readingRoom'

/** What whoever asks has said of the beads shown so far. */
export default defineEventHandler(async event => beadAnswersOf((await requireReader(event)).id))
