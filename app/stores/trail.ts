import { defineStore } from 'pinia'
import type { TrailLine, TrailPage } from '~~/contract/trail'
import { request } from './request'

/** Who did what in this school, newest first, a page at a time. */
export const useTrail = defineStore('trail', () => {
  const lines = ref<readonly TrailLine[]>([])
  const next = ref<number | null>(null)
  let latest = 0

  /** Loads the newest lines, of one account where it is given; or with `more` the page after the ones shown. */
  async function load(accountId: string | null, more = false): Promise<void> {
    const asked = new URLSearchParams()
    if (accountId) asked.set('account', accountId)
    if (more && next.value !== null) asked.set('before', String(next.value))
    const own = ++latest
    const page = await request<TrailPage>('GET', `/api/trail?${asked}`)
    if (own !== latest) return
    lines.value = more ? [...lines.value, ...page.lines] : page.lines
    next.value = page.next
  }

  return { lines, next, load }
})
