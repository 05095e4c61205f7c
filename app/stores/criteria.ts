import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { SHIPPED_SETS, type CriteriaSet } from '~~/core/criteria'
import type { SavedCriteria, SchoolCriteria } from '~~/contract/criteria'
import { request } from './request'

/** Sets of criteria: those that ship, and the school's own. */
export const useCriteria = defineStore('criteria', () => {
  const own = shallowRef<readonly SavedCriteria[]>([])
  /** The sets a coupon is held against, as this browser last chose. */
  const chosen = useLocalStorage<string[]>('fusilis.criteria', ['d1.1 welder'])

  /**
   * What a coupon may be held against: the school's own first; a shipped set that one of them takes the place of is
   * left out.
   */
  const offered = computed<readonly CriteriaSet[]>(() => {
    const living = own.value.map(one => one.set).filter(set => !set.retired)
    const superseded = new Set(living.map(set => set.supersedes))
    return [...living, ...SHIPPED_SETS.filter(set => !superseded.has(set.id))]
  })

  async function load(): Promise<void> {
    own.value = await request<SavedCriteria[]>('GET', '/api/criteria')
  }

  /** Saves a set of the school's own. @throws RequestFailure when someone saved it meanwhile, or a line is wrong */
  async function save(set: SchoolCriteria, why: string, baseVersion: number): Promise<void> {
    const saved = await request<SavedCriteria>('PUT', `/api/criteria/${set.id}`, { baseVersion, why, set })
    own.value = [...own.value.filter(one => one.set.id !== set.id), saved]
  }

  return { own, offered, chosen, load, save }
})
