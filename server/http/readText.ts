import type { IncomingMessage } from 'node:http'
import type { H3Event } from 'h3'
import { refuse } from './refuse'

/**
 * The text of a request, counted while it comes in, even where its headers give another length: what is too much is
 * refused before it is in memory.
 * @throws 413 for more than `mostBytes`; 400 for what is no UTF-8
 */
export async function readText(event: H3Event, mostBytes: number): Promise<string> {
  const bytes = await readBytes(event, mostBytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    throw refuse(400, 'Not understood', 'The request is not UTF-8.')
  }
}

function readBytes(event: H3Event, most: number): Promise<Buffer> {
  const { req } = event.node
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    let bytes = 0
    const tooLarge = () => {
      req.removeAllListeners('data')
      letGo(req)
      reject(refuse(413, 'Too large', `At most ${Math.floor(most / 1024)} kB can be sent here at a time.`))
    }
    if (Number(req.headers['content-length'] ?? 0) > most) return tooLarge()
    req.on('data', (chunk: Buffer) => {
      bytes += chunk.length
      if (bytes > most) tooLarge()
      else chunks.push(chunk)
    })
    req.on('end', () => resolve(Buffer.concat(chunks)))
    req.on('error', reject)
    req.on('aborted', () => reject(refuse(400, 'Not understood', 'The request ended before it was whole.')))
  })
}

/**
 * The bytes that are still read and thrown away. Then nothing is read any more, and the connection stays open, so long,
 * ms, that the sender gets to hear the answer: one closed with bytes unread takes the answer with it.
 */
const MOST_THROWN_AWAY = 8 * 1024 * 1024
const LONGEST_THROWN_AWAY_MS = 5_000

/** Reads on without keeping anything, and hangs up on a sender who does not stop. */
function letGo(req: IncomingMessage): void {
  let thrownAway = 0
  const hangUp = setTimeout(() => req.socket.destroy(), LONGEST_THROWN_AWAY_MS)
  req.on('data', (chunk: Buffer) => {
    thrownAway += chunk.length
    if (thrownAway > MOST_THROWN_AWAY) req.pause()
  })
  req.once('close', () => clearTimeout(hangUp))
}
