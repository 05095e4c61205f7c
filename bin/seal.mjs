import { readFile } from 'node:fs/promises'
import { Readable } from 'node:stream'
import { Decrypter, Encrypter } from 'age-encryption'

/** What a sealed file's name ends in: anybody with the key opens it, with this program or with `age` itself. */
export const SEALED = '.age'

/**
 * Seals a stream for the holder of the other half of a key (the open `age` format). This machine never needs that half:
 * who steals its disk reads no backup.
 * @param {string} recipient `age1…`, what `age-keygen` calls the public key
 */
export async function sealed(stream, recipient) {
  const encrypter = new Encrypter()
  try {
    encrypter.addRecipient(recipient)
  } catch {
    throw Object.assign(new Error('FUSILIS_BACKUP_KEY is not a public key of age'), {
      advice: 'it begins with age1: the line "public key" that age-keygen prints.',
    })
  }
  return Readable.fromWeb(await encrypter.encrypt(Readable.toWeb(stream)))
}

/** Opens what was sealed, with the secret half: the file that `age-keygen` wrote. */
export async function unsealed(stream, keyFile) {
  const advice = 'name the file that age-keygen wrote in FUSILIS_BACKUP_KEY_FILE; it holds AGE-SECRET-KEY-1….'
  const key = keyFile && /AGE-SECRET-KEY-\S+/.exec(await readFile(keyFile, 'utf8').catch(() => ''))?.[0]
  if (!key) throw Object.assign(new Error('This backup is sealed, and its key is not here'), { advice })
  const decrypter = new Decrypter()
  decrypter.addIdentity(key)
  try {
    return Readable.fromWeb(await decrypter.decrypt(Readable.toWeb(stream)))
  } catch {
    throw Object.assign(new Error('That key does not open this backup'), { advice })
  }
}
