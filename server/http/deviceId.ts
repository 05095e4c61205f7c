import { createHmac, timingSafeEqual } from 'node:crypto'
import { getCookie, setCookie, type H3Event } from 'h3'
import { v7 as uuid } from 'uuid'
import { isUuid } from './isUuid'

const A_DAY_SECONDS = 24 * 3600
/** Longer than a summer. */
const KEPT_DAYS = 180

const secret = () => process.env.NUXT_SESSION_PASSWORD ?? ''
const signed = (id: string) => createHmac('sha256', secret()).update(`device ${id}`).digest('base64url')

const cookie = (event: H3Event) => {
  const { session } = useRuntimeConfig(event)
  const terms = session.cookie as { sameSite: 'lax'; secure: boolean }
  return { name: `${session.name}-device`, terms: { ...terms, httpOnly: true, path: '/' } }
}

/** The id of the device that asks, where this server gave it one; null for a stranger's. */
export function deviceIdOf(event: H3Event): string | null {
  const [id = '', mark = ''] = (getCookie(event, cookie(event).name) ?? '').split('.')
  const [own, said] = [Buffer.from(signed(id)), Buffer.from(mark)]
  return isUuid(id) && own.length === said.length && timingSafeEqual(own, said) ? id : null
}

/** The id of the device that asks: its own, or one that it is given. */
export function giveDeviceId(event: H3Event): string {
  const id = deviceIdOf(event) ?? uuid()
  const { name, terms } = cookie(event)
  setCookie(event, name, `${id}.${signed(id)}`, { ...terms, maxAge: KEPT_DAYS * A_DAY_SECONDS })
  return id
}
