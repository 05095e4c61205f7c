import type { H3Event } from 'h3'
import { refuse } from './refuse'

/**
 * The text of a request, counted while it comes in, whatever its headers say of its length: what is too much is
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
  const { req, res } = event.node
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    let bytes = 0
    const tooLarge = () => {
      // Whoever sends on is not listened to: the connection ends with the answer.
      req.removeAllListeners('data').pause()
      res.setHeader('connection', 'close')
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
