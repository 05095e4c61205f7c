/** The connection cannot be had, or ended while the database was asked. */
const LOST = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EHOSTUNREACH',
  'ENOTFOUND',
  'EPIPE',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'ER_CON_COUNT_ERROR',
  'ER_CONNECTION_KILLED',
  'ER_SERVER_SHUTDOWN',
  // What a node of a cluster says that is not, or no longer, part of it.
  'ER_UNKNOWN_COM_ERROR',
])

/** It is there and takes no writes: disk full, read-only, out of memory, or a lock that is not let go. */
const REFUSED = new Set([
  'ER_DISK_FULL',
  'ER_RECORD_FILE_FULL',
  'ER_OPTION_PREVENTS_STATEMENT',
  'ER_CANT_EXECUTE_IN_READ_ONLY_TRANSACTION',
  'ER_LOCK_WAIT_TIMEOUT',
  'ER_LOCK_DEADLOCK',
  'ER_OUT_OF_RESOURCES',
  'ER_ERROR_DURING_COMMIT',
  'ER_ERROR_ON_WRITE',
])

/** What the driver says, and gives no code to, where as many wait for a connection as may. */
const QUEUE_FULL = 'Queue limit reached.'

interface Failure {
  readonly message?: string
  readonly code?: string
  readonly errno?: number
  readonly syscall?: string
  readonly fatal?: boolean
}

/** Deadlock, lock wait, and a write set refused by another node of a cluster: the same work may succeed at once. */
const WORTH_ANOTHER_TRY = new Set([1213, 1205, 1020])

/** Whether work that failed was undone because it met other work. */
export const worthAnotherTry = (error: unknown): boolean => WORTH_ANOTHER_TRY.has(((error ?? {}) as Failure).errno ?? 0)

/**
 * Whether the connection was lost, or never had. A missing file of our own (ENOENT) is not the database's: only its
 * socket's address makes it so.
 */
export function isLost(error: unknown): boolean {
  const { code, message, syscall, fatal } = (error ?? {}) as Failure
  if (message === QUEUE_FULL) return true
  // The driver gives no code to what is asked of a connection that has ended.
  if (code === undefined) return fatal === true
  if (LOST.has(code) || (code === 'ENOENT' && syscall === 'connect')) return true
  return fatal === true && code.startsWith('PROTOCOL_')
}

/** More waits than can be done in a time that anybody would wait for. */
export class TooBusy extends Error {
  constructor() {
    super('Too much waits already')
  }
}

/** Whether an error says that the database is away or takes no writes; null for any other error. */
export function databaseTrouble(error: unknown): 'away' | 'refused' | null {
  if (isLost(error)) return 'away'
  return REFUSED.has(((error ?? {}) as Failure).code ?? '') ? 'refused' : null
}
