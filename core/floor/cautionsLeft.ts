import type { HouseRules } from '../house'
import type { Caution } from '../trade'

/** Whether each student says of each caution that it was read. */
export const wantsCautionsRead = ({ ways }: HouseRules): boolean => ways.cautions === 'by each student'

/**
 * The cautions that a student has not said were read: a text that was changed since is another text.
 * @param read the texts that were said to be read, as they were shown then
 * @example cautionsLeft(cautionsFor([]), []).length // 4
 */
export const cautionsLeft = (cautions: readonly Caution[], read: readonly string[]): Caution[] =>
  cautions.filter(({ text }) => !read.includes(text))
