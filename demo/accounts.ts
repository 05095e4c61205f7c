import type { Role } from '../contract/people'
import made from './accounts.json'

interface DemoAccount {
  readonly username: string
  readonly name: string
  readonly role: Role
}

/** Accounts of the made-up school; they exist in the demo only. */
export const DEMO_PASSWORD = made.password

/** A lead, an instructor and a student. */
export const DEMO_ACCOUNTS = made.accounts as unknown as readonly [DemoAccount, DemoAccount, DemoAccount]
