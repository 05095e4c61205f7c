import { number, object, string } from 'yup'
import { ovenReadingSchema } from './rodRoom'

/** What an oven answers, as docs/oven.md says it. */
export interface OvenAnswer {
  readonly format: 'fusilis-oven'
  readonly version: 1
  readonly name: string
  readonly celsius: number
  readonly doorOpen: boolean
  readonly alarm: string | null
}

const { celsius, doorOpen, oven } = ovenReadingSchema.fields

export const ovenAnswerSchema = object({
  format: string().strict().required().oneOf(['fusilis-oven']),
  version: number().strict().required().oneOf([1], 'This oven speaks another version'),
  name: oven,
  celsius,
  doorOpen,
  alarm: string().strict().nullable().defined('${path} is missing').max(120, '${path} is at most 120 letters'),
})
