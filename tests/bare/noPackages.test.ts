import { readFileSync } from 'node:fs'
import { posix } from 'node:path'
import { expect, it } from 'vitest'

/** Packages that a script and all that it imports ask for before its first line is run. */
function packagesOf(script: string): string[] {
  const seen = new Set<string>()
  const asked: string[] = []
  const open = [script]
  while (open.length > 0) {
    const file = open.pop()!
    if (seen.has(file)) continue
    seen.add(file)
    for (const [, name] of readFileSync(file, 'utf8').matchAll(/^import\b[^'"]*['"]([^'"]+)['"]/gm)) {
      if (name!.startsWith('.')) open.push(posix.join(posix.dirname(file), name!))
      else if (!name!.startsWith('node:')) asked.push(`${file}: ${name}`)
    }
  }
  return asked
}

it.each(['bin/demo.mjs', 'bin/test.mjs', 'bin/bench.mjs'])('%s begins on a machine that has no package yet', script => {
  expect(packagesOf(script)).toEqual([])
})
it('would see one, also where it is imported by another', () => {
  expect(packagesOf('bin/backup.mjs').join()).toContain('age-encryption')
})
