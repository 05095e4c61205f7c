import { plainName, rows, type Queries } from './database'

/** How many rows a table has, and a digest of all that stands in them. */
export interface TableDigest {
  readonly rows: number
  readonly digest: string
}

/**
 * Every table of a database with its digest: MariaDB's own checksum of the rows, which is the same in whatever order
 * they lie.
 */
export async function tableDigests(on: Queries): Promise<Record<string, TableDigest>> {
  const tables = await rows<{ name: string }>(
    on,
    `SELECT table_name AS name FROM information_schema.tables
    WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE' ORDER BY table_name`,
  )
  const digests: Record<string, TableDigest> = {}
  for (const { name } of tables) {
    const [sum] = await rows<{ Checksum: number | null }>(on, `CHECKSUM TABLE ${plainName(name)} EXTENDED`)
    const [counted] = await rows<{ n: number }>(on, `SELECT COUNT(*) AS n FROM ${plainName(name)}`)
    digests[name] = { rows: counted!.n, digest: String(sum!.Checksum) }
  }
  return digests
}
