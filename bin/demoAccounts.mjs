import { readFile } from 'node:fs/promises'
import { ROOT } from './run.mjs'

/** Accounts of the made-up school, with their password. */
const { password, accounts } = JSON.parse(await readFile(`${ROOT}demo/accounts.json`, 'utf8'))

/** What has a server offer them at its sign-in: a school's own server has no such setting, and none of the accounts. */
export const DEMO_ENV = { FUSILIS_DEMO: JSON.stringify(accounts.map(account => ({ ...account, password }))) }

/** Who may sign in to the demo, in two lines. */
export const sayAccounts = () =>
  `sign in as   ${accounts.map(({ username, role }) => `${username} (${role})`).join('   ')}\n  password     ${password}`
