import { readFile } from 'node:fs/promises'
import { afterAll, expect, it } from 'vitest'
import { closeDatabase, database, rows } from '../../server/store/database'
import { migrate } from '../../server/store/migrate'
import { openDatabase } from '../../server/store/nodes'
import { FOUND_ROUTES, ROUTES } from './whoMay'

afterAll(closeDatabase)

const HOW = (what: string) =>
  `Made by \`tests/server/generatedDocs.test.ts\` from ${what}, and held to it there: a change is written with\n` +
  '`node bin/test.mjs server tests/server/generatedDocs.test.ts -u`.\n'

interface Column {
  readonly table: string
  readonly name: string
  readonly type: string
  readonly nullable: 'YES' | 'NO'
  readonly key: string
  readonly refers: string | null
}

it('docs/schema.md is the database as its migrations leave it', async () => {
  // A database of its own: other tests make tables beside the school's.
  await database().query('CREATE OR REPLACE DATABASE schema_shown')
  const pool = openDatabase(process.env.FUSILIS_DB_URL!.replace(/\/fusilis$/, '/schema_shown'))
  await migrate(pool).finally(() => pool.end())
  const columns = await rows<Column>(
    database(),
    `SELECT own.table_name AS "table", own.column_name AS name, own.column_type AS type, own.is_nullable AS nullable,
      own.column_key AS "key",
      (SELECT GROUP_CONCAT(CONCAT(other.referenced_table_name, '.', other.referenced_column_name) SEPARATOR ', ')
        FROM information_schema.key_column_usage AS other
        WHERE other.table_schema = own.table_schema AND other.table_name = own.table_name
          AND other.column_name = own.column_name AND other.referenced_table_name IS NOT NULL) AS refers
    FROM information_schema.columns AS own WHERE own.table_schema = 'schema_shown'
    ORDER BY own.table_name, own.ordinal_position`,
  )
  const tables = new Map(
    [...new Set(columns.map(column => column.table))].map(table => [
      table,
      columns.filter(column => column.table === table),
    ]),
  )
  const rowOf = ({ name, type, nullable, key, refers }: Column) =>
    `| ${name} | ${type} | ${nullable === 'YES' ? 'may be empty' : ''} | ${key === 'PRI' ? 'primary' : key === 'UNI' ? 'unique' : ''} | ${refers ?? ''} |`
  const parts = [...tables].map(
    ([table, own]) =>
      `## ${table}\n\n| column | type | | key | refers to |\n| --- | --- | --- | --- | --- |\n${own.map(rowOf).join('\n')}\n`,
  )
  const text = `# Tables\n\n${HOW('the migrations in `server/migrations/`')}\n${tables.size} tables.\n\n${parts.join('\n')}`
  await expect(text).toMatchFileSnapshot('../../docs/schema.md')
})

const WHO = {
  'anyone': 'anyone',
  'signed in': 'every account',
  'own': 'staff, and the student whose it is',
  'staff': 'instructors',
  'lead': 'lead instructors',
  'tablet': 'instructors, students and a tablet that was handed over',
} as const

/** What a route says of itself: the comment over it. */
async function saidOf(file: string): Promise<string> {
  const source = await readFile(new URL(`../../${file}`, import.meta.url), 'utf8')
  const before = source.slice(0, source.indexOf('export default'))
  const comment = before.slice(before.lastIndexOf('/**') + 3, before.lastIndexOf('*/'))
  return before.includes('/**')
    ? comment
        .split('\n')
        .map(line => line.replace(/^\s*\*? ?/, '').trim())
        .filter(Boolean)
        .join(' ')
    : ''
}

it('docs/routes.md is every route there is, who may ask, and what it does', async () => {
  const routes = await Promise.all(
    FOUND_ROUTES.map(async ({ route, file }) => ({ route, who: WHO[ROUTES[route]!], says: await saidOf(file) })),
  )
  expect(routes.filter(({ says }) => says === '').map(({ route }) => route)).toEqual([])
  const pathOf = (route: string) => route.split(' ')[1]!
  const lines = routes
    .sort((a, b) => pathOf(a.route).localeCompare(pathOf(b.route)) || a.route.localeCompare(b.route))
    .map(({ route, who, says }) => `| \`${route}\` | ${who} | ${says.replaceAll('|', '/')} |`)
  const text = `# Routes\n\n${HOW('the routes in `server/api/`')}\n${lines.length} routes.\n\n| route | who may | what it does |\n| --- | --- | --- |\n${lines.join('\n')}\n`
  await expect(text).toMatchFileSnapshot('../../docs/routes.md')
})
