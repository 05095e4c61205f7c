import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { offeredSets } from '~~/core/criteria'
import type { SavedCriteria, SchoolCriteria } from '~~/contract/criteria'
import { request } from './request'

/** Sets of criteria: those that ship, and the school's own. */
export const useCriteria = defineStore('criteria', () => {
  const own = shallowRef<readonly SavedCriteria[]>([])
  /** The sets a coupon is held against, as this browser last chose. */
  const chosen = useLocalStorage<string[]>('fusilis.criteria', ['d1.1 welder'])

  const sets = computed(() => own.value.map(one => one.set))
  const offered = computed(() => offeredSets(sets.value))

  async function load(): Promise<void> {
    own.value = await request<SavedCriteria[]>('GET', '/api/criteria')
  }

  /** Saves a set of the school's own. @throws RequestFailure when someone saved it meanwhile, or a line is wrong */
  async function save(set: SchoolCriteria, why: string, baseVersion: number): Promise<void> {
    const saved = await request<SavedCriteria>('PUT', `/api/criteria/${set.id}`, { baseVersion, why, set })
    own.value = [...own.value.filter(one => one.set.id !== set.id), saved]
  }

  return { own, sets, offered, chosen, load, save }
})
