import { dirname } from 'node:path'

/**
 * Where a school's pictures lie: a folder for each student. Servers that share a database share this folder too. No
 * package is asked for here: the demo and the tests begin on a machine that has none yet.
 */
export const picturesFolder = dir => process.env.FUSILIS_PICTURES ?? `${dir}/pictures`

/** Pictures of all backups of a folder lie beside them, once: a picture never changes. */
export const picturesBeside = file => `${dirname(file)}/pictures`
