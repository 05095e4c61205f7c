/** The database cannot be reached, or went away while it was asked. */
const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EHOSTUNREACH',
  'ENOTFOUND',
  'EPIPE',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'ER_CON_COUNT_ERROR',
  'ER_SERVER_SHUTDOWN',
])

/** It is there and takes no writes: disk full, read-only, out of memory, or a lock that nobody lets go. */
const REFUSED = new Set([
  'ER_DISK_FULL',
  'ER_RECORD_FILE_FULL',
  'ER_OPTION_PREVENTS_STATEMENT',
  'ER_CANT_EXECUTE_IN_READ_ONLY_TRANSACTION',
  'ER_LOCK_WAIT_TIMEOUT',
  'ER_LOCK_DEADLOCK',
  'ER_OUT_OF_RESOURCES',
  'ER_ERROR_ON_WRITE',
])

/**
 * Whether an error says that the database is away or takes no writes; null for any other error. A missing file of our
 * own (ENOENT) is not the database's: only its socket's address makes it so.
 */
export function databaseTrouble(error: unknown): 'away' | 'refused' | null {
  const { code, syscall, fatal } = (error ?? {}) as { code?: string; syscall?: string; fatal?: boolean }
  if (code === undefined) return null
  if (AWAY.has(code) || (code === 'ENOENT' && syscall === 'connect')) return 'away'
  if (REFUSED.has(code)) return 'refused'
  return fatal === true && code.startsWith('PROTOCOL_') ? 'away' : null
}
