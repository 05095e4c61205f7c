import { picturesFolder } from './pictureFolders.mjs'
import { runTask } from './run.mjs'

/**
 * Fills the made-up school, if the database is empty. A server that is ours alone need not wait for its disk at each
 * save meanwhile; one that others use too is left as it is set.
 * @param {{ ownerUrl: string, ours?: boolean }} database
 * @param {string} dir the school's own folder
 */
export const fillDemo = ({ ownerUrl, ours = false }, dir) =>
  runTask('fillDemo', ours ? ['--ours'] : [], {
    env: { FUSILIS_DB_URL: ownerUrl, FUSILIS_PICTURES: picturesFolder(dir) },
  })
