import { isDuplicate } from '../store/database'
import { wrongField } from './refuse'

/** Waits for a write; a name that is taken already is refused at its field. */
export async function nameTaken<T>(write: Promise<T>, path: string, message: string): Promise<T> {
  try {
    return await write
  } catch (error) {
    if (isDuplicate(error)) throw wrongField(path, message)
    throw error
  }
}
