import { addressThatAnswers } from '../../server/store/nodes'

/** Says which of the hosts in `FUSILIS_DB_URL` takes work. */
console.log(await addressThatAnswers(process.env.FUSILIS_DB_URL ?? ''))
