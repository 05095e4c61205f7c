/** Accounts of the made-up school; they exist in the demo only. */
export const DEMO_PASSWORD = 'gannet-quay-demo'

export const DEMO_ACCOUNTS = [
  { username: 'maren', name: 'Maren Holt', role: 'lead' },
  { username: 'tobias', name: 'Tobias Reek', role: 'instructor' },
  { username: 'oriel', name: 'Oriel Tamsin', role: 'student' },
] as const
