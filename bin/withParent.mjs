import { existsSync } from 'node:fs'

/** Debian's own, of util-linux: has the kernel tell a child when its parent is gone, however the parent ended. */
const SETPRIV = '/usr/bin/setpriv'

/** A command, and one that ends with us even when we are killed: no process is left to hold the port and the data. */
export const withParent = (command, args) =>
  existsSync(SETPRIV) ? [SETPRIV, ['--pdeathsig', 'TERM', '--', command, ...args]] : [command, args]
