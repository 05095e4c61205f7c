import { doorDatabase, rows } from './database'

let known: string | null = null

/** Which school this is: the same for as long as its database is. Asked once for each server. */
export async function schoolMark(): Promise<string> {
  if (known === null) {
    const [row] = await rows<{ mark: string }>(doorDatabase(), 'SELECT mark FROM school_mark WHERE id = 1')
    known = row!.mark
  }
  return known
}
