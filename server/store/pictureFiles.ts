import { createHash } from 'node:crypto'
import { mkdir, open, readFile, rename, rm } from 'node:fs/promises'

/**
 * Pictures as files: a folder for each student, each file called by the digest of its bytes. Who writes to a student's
 * folder holds that student's row, so that none is taken away while it is put there.
 */
function folder(): string {
  const set = process.env.FUSILIS_PICTURES
  if (!set) throw new Error('FUSILIS_PICTURES names no folder for pictures')
  return set
}

const DIGEST = /^[0-9a-f]{64}$/
const ID = /^[0-9a-f-]{36}$/

const folderOf = (studentId: string): string => {
  if (!ID.test(studentId)) throw new Error(`"${studentId}" is no student's id`)
  return `${folder()}/${studentId}`
}

function fileOf(studentId: string, digest: string): string {
  if (!DIGEST.test(digest)) throw new Error(`"${digest}" is no digest`)
  return `${folderOf(studentId)}/${digest}.jpg`
}

/** SHA-256 in hexadecimal. */
export const digestOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

/** Writes a picture whole or not at all. */
export async function keepPictureFile(studentId: string, bytes: Uint8Array): Promise<void> {
  const file = fileOf(studentId, digestOf(bytes))
  await mkdir(folderOf(studentId), { recursive: true, mode: 0o700 })
  const part = `${file}.${process.pid}-${process.hrtime.bigint()}.part`
  try {
    const handle = await open(part, 'wx', 0o600)
    try {
      await handle.writeFile(bytes)
      await handle.sync()
    } finally {
      await handle.close()
    }
    await rename(part, file)
  } catch (error) {
    await rm(part, { force: true })
    throw error
  }
}

/** A picture's bytes; null where the file is gone or is no longer what it was. */
export async function readPictureFile(studentId: string, digest: string): Promise<Buffer | null> {
  const bytes = await readFile(fileOf(studentId, digest)).catch(() => null)
  return bytes && digestOf(bytes) === digest ? bytes : null
}

export const dropPictureFile = (studentId: string, digest: string): Promise<void> =>
  rm(fileOf(studentId, digest), { force: true })

/** Takes all pictures of a student away. */
export const dropPicturesOf = (studentId: string): Promise<void> =>
  rm(folderOf(studentId), { recursive: true, force: true })
