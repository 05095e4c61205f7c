import { plainName, rows, type Queries } from './database'

/** How many rows a table has, and a digest of all that stands in them. */
export interface TableDigest {
  readonly rows: number
  readonly digest: string
}

/**
 * Every table of a database with its digest: the sum of its rows' checksums, which is the same in any order they
 * lie. MariaDB's own CHECKSUM TABLE is not: it differs for a computed column that is null. Computed columns follow from
 * the others, and are left out.
 */
export async function tableDigests(on: Queries): Promise<Record<string, TableDigest>> {
  const columns = await rows<{ of: string; name: string }>(
    on,
    `SELECT c.table_name AS \`of\`, c.column_name AS name
    FROM information_schema.columns AS c JOIN information_schema.tables AS t USING (table_schema, table_name)
    WHERE c.table_schema = DATABASE() AND t.table_type = 'BASE TABLE' AND c.is_generated = 'NEVER'
    ORDER BY c.table_name, c.ordinal_position`,
  )
  const digests: Record<string, TableDigest> = {}
  for (const table of new Set(columns.map(column => column.of))) {
    const own = columns.filter(column => column.of === table).map(({ name }) => `QUOTE(${plainName(name)})`)
    const [sum] = await rows<{ n: number; digest: string }>(
      on,
      `SELECT COUNT(*) AS n, CAST(COALESCE(SUM(CRC32(CONCAT_WS('|', ${own.join(', ')}))), 0) AS CHAR) AS digest
      FROM ${plainName(table)}`,
    )
    digests[table] = { rows: sum!.n, digest: sum!.digest }
  }
  return digests
}
