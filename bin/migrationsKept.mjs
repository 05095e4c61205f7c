import { readFile } from 'node:fs/promises'
import { ROOT, run } from './run.mjs'

/**
 * Refuses a migration that was committed and is edited since: every school that was made by it would be another.
 * @throws Error that names it
 */
export async function migrationsMustBeKept() {
  const listed = await run('git', ['ls-tree', '--name-only', 'HEAD', 'server/migrations/']).catch(() => '')
  for (const path of listed.split('\n').filter(Boolean)) {
    const landed = await run('git', ['show', `HEAD:${path}`])
    if ((await readFile(`${ROOT}${path}`, 'utf8').catch(() => null)) !== landed)
      throw Object.assign(new Error(`${path} has landed, and is not as it was`), {
        advice: 'put it back (git checkout HEAD -- FILE), and write what is to change as the next migration.',
      })
  }
}
