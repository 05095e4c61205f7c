import { defineNitroPlugin } from 'nitropack/runtime'
import { log } from '../http/log'
import { watchOvens } from '../store/ovenWatch'

const EVERY_MS = 60_000

/** Reads the ovens that `FUSILIS_OVENS` names, once a minute. */
export default defineNitroPlugin(app => {
  const addresses = (process.env.FUSILIS_OVENS ?? '')
    .split(',')
    .map(address => address.trim())
    .filter(Boolean)
  if (addresses.length === 0) return
  const look = watchOvens(addresses, (line, failed) => (failed ? log.warn(line) : log.info(line)))
  const timer = setInterval(() => void look(new Date()), EVERY_MS)
  void look(new Date())
  app.hooks.hook('close', () => clearInterval(timer))
})
