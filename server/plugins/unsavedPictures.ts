import { v7 as uuid } from 'uuid'
import { defineNitroPlugin } from 'nitropack/runtime'
import { log } from '../http/log'
import { database } from '../store/database'
import { takeLease } from '../store/lease'
import { forgetUnsavedPictures } from '../store/pictures'

const EVERY_MS = 6 * 3600_000
/** One server sweeps at a time; one that is gone leaves it to another soon. */
const LEASE_SECONDS = 600

/** Erases pictures whose coupon was never saved, some times a day: one server of however many there are. */
export default defineNitroPlugin(app => {
  const holder = uuid()
  const sweep = async () => {
    if (!(await takeLease(database(), 'unsaved pictures', holder, LEASE_SECONDS))) return
    const gone = await forgetUnsavedPictures(new Date())
    if (gone > 0) log.info({ gone }, 'pictures of coupons that were never saved are erased')
  }
  const turn = () =>
    void sweep().catch((error: unknown) => log.warn({ cause: String(error) }, 'old pictures were not looked for'))
  const timer = setInterval(turn, EVERY_MS)
  app.hooks.hook('close', () => clearInterval(timer))
})
