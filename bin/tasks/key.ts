import { readFileSync } from 'node:fs'
import { mustBeKnown, readCase, variants, type Case } from '../../tests/key/readKey'

/** Reads an instructor's key and says how many of its cases are told as it has them: `npm run key -- [FILE]`. */
const [file = new URL('../../tests/key/reading.json', import.meta.url)] = process.argv.slice(2)
const cases = (JSON.parse(readFileSync(file, 'utf8')) as Case[]).flatMap(variants)

const groups = new Map<string, { cases: number; alone: number; after: number }>()
let longest = ''
for (const one of cases) {
  mustBeKnown(one)
  const { alone, after, asked } = readCase(one)
  const told = String(after.reading.nextRun).split('. Then ')[0]!
  if (told.split(' ').length > longest.split(' ').length) longest = told
  const row = groups.get(one.group) ?? { cases: 0, alone: 0, after: 0 }
  groups.set(one.group, {
    cases: row.cases + 1,
    alone: row.alone + (alone.fails.length === 0 ? 1 : 0),
    after: row.after + (after.fails.length === 0 ? 1 : 0),
  })
  if (after.fails.length === 0) continue
  console.log(`\n${one.id}  ${one.title}${one.disputed ? ' (disputed)' : ''}`)
  if (asked.length > 0) console.log(`  asked: ${asked.join('; ')}`)
  console.log(`  told: ${after.reading.nextRun}`)
  for (const fail of after.fails) console.log(`  fails: ${fail}`)
}
const wide = Math.max(...[...groups.keys()].map(group => group.length))
console.log(`\n${'group'.padEnd(wide)}  cases  marks alone  after questions`)
for (const [group, row] of groups)
  console.log(
    `${group.padEnd(wide)}  ${String(row.cases).padStart(5)}  ${String(row.alone).padStart(11)}  ` +
      String(row.after).padStart(15),
  )
const sum = (of: 'cases' | 'alone' | 'after') => [...groups.values()].reduce((all, row) => all + row[of], 0)
console.log(`\n${sum('after')} of ${sum('cases')} cases pass (${sum('alone')} on marks alone)`)
console.log(`the longest sentence has ${longest.split(' ').length} words: ${longest}`)
