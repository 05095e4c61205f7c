import { floorSerials } from './floorSerial'

/** How often the database is asked, for all screens of this server together. */
const EVERY_MS = 400

interface Watcher {
  readonly sectionId: string
  readonly tell: (serial: number) => void
  /** The serial that the screen knows; null until it has been told one. */
  known: number | null
}

const watchers = new Set<Watcher>()
let timer: ReturnType<typeof setTimeout> | null = null

/** One query for all; a database that is away is asked again, and the screens keep what they show. */
async function look(): Promise<void> {
  if (watchers.size === 0) {
    timer = null
    return
  }
  try {
    const serials = await floorSerials([...new Set([...watchers].map(watcher => watcher.sectionId))])
    for (const watcher of watchers) {
      const serial = serials.get(watcher.sectionId)
      if (serial === undefined || serial === watcher.known) continue
      watcher.known = serial
      watcher.tell(serial)
    }
  } catch {
    // The next look tells.
  }
  timer = setTimeout(look, EVERY_MS)
}

/**
 * Tells of every change of a section's floor, whichever server made it, until it is left. The first word comes at
 * once, unless the screen knows all there is.
 * @param seen the serial that the screen had, or null
 * @returns leaves
 */
export function watchFloor(sectionId: string, seen: number | null, tell: (serial: number) => void): () => void {
  const watcher: Watcher = { sectionId, tell, known: seen }
  watchers.add(watcher)
  timer ??= setTimeout(look, 0)
  return () => watchers.delete(watcher)
}
