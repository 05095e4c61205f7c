import script from '#worker/answers'
import { setResponseHeader, type H3Event } from 'h3'
import type { Me } from '../../contract/people'
import { openPool } from '../workers/pool'
import type * as answers from '../workers/answers.worker'
import { fairly } from './fairly'
import { notFound } from './refuse'

type Answers = typeof answers
type Name = keyof Answers

/** What takes more than a moment is reckoned here, by threads with connections of their own. */
const pool = openPool('answers', script, { threads: 2, queue: 200 })
const reckon = fairly((name: string, asked: unknown) => pool.run<string>(name, asked))

/**
 * Answers with what takes more than a moment to reckon: beside the server, once for all who wait for the same, and no
 * more for one account at a time than leaves the others their turn.
 * @param what is not there where the answer is `null`, as a person says it
 * @throws 404; 429 where this account has too much under way; 503 where everybody has
 */
export async function dearAnswer<N extends Name>(
  event: H3Event,
  me: Pick<Me, 'id'>,
  [name, asked]: readonly [N, Parameters<Answers[N]>[0]],
  what = 'answer',
): Promise<string> {
  const json = await reckon(me.id, name, asked)
  if (json === 'null') throw notFound(what)
  setResponseHeader(event, 'content-type', 'application/json')
  return json
}
