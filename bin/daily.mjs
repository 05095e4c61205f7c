import { backupFile, backupTerms, keepByAge, untilNext, writeBackup } from './backups.mjs'

/**
 * Writes a backup each day at the time that `FUSILIS_BACKUP_AT` says, until it is over; one that fails is said, and the
 * next day's is tried. Without that setting it does nothing.
 * @param {{ dir: string, url: string, over: AbortSignal, wait: (seconds: number, signal: AbortSignal) =>
 *   Promise<unknown>, say: (line: string) => void }} terms
 */
export async function backUpDaily({ dir, url, over, wait, say }) {
  const { at } = backupTerms()
  if (at === null) return
  for (;;) {
    await wait(untilNext(at) / 1000, over).catch(() => {})
    if (over.aborted) return
    try {
      say(`Backup written: ${await writeBackup(dir, url, backupFile(dir))}`)
      await keepByAge(dir)
    } catch (error) {
      say(`The backup failed: ${error.message}. ${error.advice ?? ''}`)
    }
  }
}
