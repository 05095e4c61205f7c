import { readFile, rm, writeFile } from 'node:fs/promises'
import { basename } from 'node:path'

const fileOf = dir => `${dir}/runs.json`

/** Whether a process of that number runs and is one of our commands: numbers are given out again after a reboot. */
async function runs(pid) {
  const command = await readFile(`/proc/${pid}/cmdline`, 'utf8').catch(() => '')
  return /node/.test(command) && /bin\/\w+\.mjs/.test(command)
}

/** The other command of ours that runs from a folder; null where none does. */
export async function runnerOf(dir) {
  const other = await readFile(fileOf(dir), 'utf8').then(JSON.parse, () => null)
  return other && other.pid !== process.pid && (await runs(other.pid)) ? other : null
}

/** Refuses a folder from which another command of ours runs, and says which: two databases over one folder harm it. */
export async function claimFolder(dir) {
  const other = await runnerOf(dir)
  if (other)
    throw Object.assign(new Error(`${other.what} runs from ${dir} already, as process ${other.pid}`), {
      advice: `stop it first: Ctrl-C where it runs, or kill ${other.pid}. Or name another folder in FUSILIS_DATA.`,
    })
  await note(dir, { ownerUrl: null })
}

/** Says where the database of a folder is, for commands that may work on it while it is in use. */
export const tellDatabase = (dir, ownerUrl) => note(dir, { ownerUrl })

export const leaveFolder = dir => rm(fileOf(dir), { force: true })

const note = (dir, { ownerUrl }) =>
  writeFile(
    fileOf(dir),
    JSON.stringify({ pid: process.pid, what: `npm run ${basename(process.argv[1], '.mjs')}`, ownerUrl }),
    { mode: 0o600 },
  )
