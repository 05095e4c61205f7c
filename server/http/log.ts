import pino from 'pino'

/**
 * What happened, a line of JSON each, on standard output (twelve-factor). No name, no secret and no student's words:
 * who is an account's id.
 */
export const log = pino({
  base: null,
  timestamp: pino.stdTimeFunctions.isoTime,
  formatters: { level: level => ({ level }) },
})
