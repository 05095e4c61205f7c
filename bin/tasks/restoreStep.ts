import { readFileSync } from 'node:fs'
import { closeDatabase, database } from '../../server/store/database'
import type { Erased } from '../../server/store/erasePerson'
import { openDatabase } from '../../server/store/nodes'
import { pictureFilesNamed } from '../../server/store/pictures'
import { emptyDatabase, eraseAllAgain, erasedIn, forgetKept, swapIn } from '../../server/store/restore'

/** One step of a restore, over the live database at `FUSILIS_DB_URL`; what it found is said as JSON. */
const [step, staged = '', kept = '', stagedUrl = '', listed = ''] = process.argv.slice(2)
const live = decodeURIComponent(new URL(process.env.FUSILIS_DB_URL!.replace(/,[^/]*/, '')).pathname.slice(1))

/** Erasures that the server noted beside its data: those since the backup are in it, though the database was lost. */
const noted = (file: string): Erased[] => {
  try {
    return readFileSync(file, 'utf8')
      .split('\n')
      .filter(Boolean)
      .map(line => JSON.parse(line) as Erased)
  } catch {
    return []
  }
}

async function eraseInStaged(): Promise<number> {
  const on = openDatabase(stagedUrl)
  const all = [...(await erasedIn(database())), ...noted(listed)]
  const once = [...new Map(all.map(one => [one.id, one])).values()]
  return eraseAllAgain(on, once).finally(() => on.end())
}

const steps: Readonly<Record<string, () => Promise<unknown>>> = {
  empty: () => emptyDatabase(database(), staged),
  erase: eraseInStaged,
  swap: () => swapIn(database(), { live, staged, kept }),
  pictures: () => pictureFilesNamed(database()),
  forget: () => forgetKept(database(), live),
}
console.log(JSON.stringify((await steps[step!]!()) ?? null))
await closeDatabase()
