import { object } from 'yup'
import { BEAD_CARDS, type BeadAnswer } from '../core/readingRoom'
import { oneOf } from './fields'

const card = () => oneOf(BEAD_CARDS, 'a bead')

/** The body of `PUT /api/practice/:id`: what was said of the bead that was shown. The server says when. */
export const beadAnswerSchema = object({ card: card(), cause: card(), change: card() }).exact()

export type BeadAnswerSave = Omit<BeadAnswer, 'at'>
