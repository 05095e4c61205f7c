import { defineNitroPlugin } from 'nitropack/runtime'
import { log } from '../http/log'
import { v7 as uuid } from 'uuid'
import { database } from '../store/database'
import { takeLease } from '../store/lease'
import { watchOvens } from '../store/ovenWatch'

const EVERY_MS = 60_000
/** A server that is gone leaves the ovens to another after so long. */
const LEASE_SECONDS = 150

/** Reads the ovens that `FUSILIS_OVENS` names, once a minute: one server of however many there are. */
export default defineNitroPlugin(app => {
  const addresses = (process.env.FUSILIS_OVENS ?? '')
    .split(',')
    .map(address => address.trim())
    .filter(Boolean)
  if (addresses.length === 0) return
  const look = watchOvens(addresses, (line, failed) => (failed ? log.warn(line) : log.info(line)))
  const holder = uuid()
  const take = () => takeLease(database(), 'ovens', holder, LEASE_SECONDS).catch(() => false)
  const turn = async () => {
    if (await take()) await look(new Date())
  }
  const timer = setInterval(() => void turn(), EVERY_MS)
  void turn()
  app.hooks.hook('close', () => clearInterval(timer))
})
