import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { readdir, readFile, stat, writeFile } from 'node:fs/promises'
import { ROOT, run } from './run.mjs'
import { step } from './say.mjs'

const SOURCES = ['app', 'contract', 'core', 'public', 'server', 'nuxt.config.ts', 'package-lock.json', 'package.json']
const STAMP = `${ROOT}.output/sources.sha256`

/** One digest of everything the build is made from. */
async function digest() {
  const hash = createHash('sha256')
  for (const source of SOURCES) {
    const path = `${ROOT}${source}`
    const files = (await stat(path)).isDirectory()
      ? (await readdir(path, { recursive: true, withFileTypes: true }))
          .filter(entry => entry.isFile())
          .map(entry => `${entry.parentPath ?? entry.path}/${entry.name}`)
          .sort()
      : [path]
    for (const file of files)
      if (!file.endsWith('.test.ts')) hash.update(file.slice(ROOT.length)).update(await readFile(file))
  }
  return hash.digest('hex')
}

/** Builds the application, when its sources changed since the last build. */
export async function needBuild() {
  const sources = await digest()
  if (existsSync(STAMP) && (await readFile(STAMP, 'utf8')) === sources) return
  await step('Building the application (about a minute)', () =>
    run('npx', ['nuxt', 'build'], { env: { NODE_ENV: 'production' } }),
  )
  await writeFile(STAMP, sources)
}
