import { v7 as uuid } from 'uuid'
import { ovenAnswerSchema, type OvenAnswer } from '../../contract/oven'
import { noteOven } from './rodRoom'

const ANSWERS_WITHIN_MS = 3_000
const KEPT_EVERY_MS = 10 * 60_000
const CHANGED_BY_C = 1

/** Asks an oven how it is. @throws Error saying what is wrong with it, or with its answer */
export async function readOven(address: string): Promise<OvenAnswer> {
  const answer = await fetch(address, { signal: AbortSignal.timeout(ANSWERS_WITHIN_MS) })
  if (!answer.ok) throw new Error(`it answers ${answer.status}`)
  const said = (await answer.json()) as Partial<OvenAnswer> | null
  if (said?.format !== 'fusilis-oven') throw new Error('this is no oven’s answer')
  return (await ovenAnswerSchema.validate(said)) as OvenAnswer
}

/** What was kept of an oven last. */
interface Kept extends OvenAnswer {
  readonly at: number
}

/** Whether a reading says anything that the last one did not. */
export const isNews = (last: Kept | undefined, now: OvenAnswer, at: number): boolean =>
  !last ||
  at - last.at >= KEPT_EVERY_MS ||
  last.doorOpen !== now.doorOpen ||
  Math.abs(last.celsius - now.celsius) >= CHANGED_BY_C

/**
 * Reads ovens as often as it is called: each reading that is news is kept, and whether an oven answers is said once
 * each way.
 * @param say a line for the log
 */
export function watchOvens(addresses: readonly string[], say: (line: string, failed: boolean) => void) {
  const last = new Map<string, Kept>()
  const away = new Set<string>()

  async function look(address: string, now: Date): Promise<void> {
    try {
      const reading = await readOven(address)
      if (away.delete(address)) say(`the oven at ${address} answers again`, false)
      if (!isNews(last.get(address), reading, now.getTime())) return
      const { name: oven, celsius, doorOpen } = reading
      await noteOven(uuid(), { oven, celsius, doorOpen }, { name: 'the oven itself', now })
      last.set(address, { ...reading, at: now.getTime() })
    } catch (error) {
      if (!away.has(address)) say(`the oven at ${address} does not answer: ${(error as Error).message}`, true)
      away.add(address)
    }
  }

  return (now: Date) => Promise.all(addresses.map(address => look(address, now)))
}
