import { defineStore } from 'pinia'
import { DEFAULT_HOUSE_RULES, type HouseRules } from '~~/core/house'
import type { RulesVersion } from '~~/contract/record'
import { request } from './request'

/** The house rules, every version of them: a coupon is drawn and judged by the rules of its day. */
export const useHouseRules = defineStore('houseRules', () => {
  const versions = ref<readonly RulesVersion[]>([{ version: 1, rules: DEFAULT_HOUSE_RULES, saved: null }])
  let loading: Promise<void> | null = null

  /** Loads the versions once; a failed try may be made again. */
  function load(): Promise<void> {
    loading ??= request<RulesVersion[]>('GET', '/api/house-rules')
      .then(found => {
        versions.value = found
      })
      .catch(error => {
        loading = null
        throw error
      })
    return loading
  }

  const current = computed(() => versions.value.at(-1)!)
  const unit = computed(() => current.value.rules.unit)

  /** The rules of a version; the ones in force when it is not known here. */
  const rulesOf = (version: number): HouseRules =>
    versions.value.find(row => row.version === version)?.rules ?? current.value.rules

  /**
   * Saves a new version over the one in force. @throws RequestFailure when someone saved one meanwhile, or a line
   * is wrong
   */
  async function save(rules: HouseRules, why: string, baseVersion: number): Promise<void> {
    const saved = await request<RulesVersion>('POST', '/api/house-rules', { baseVersion, why, rules })
    versions.value = [...versions.value, saved]
  }

  /** Loads what was saved meanwhile by someone else. */
  function reload(): Promise<void> {
    loading = null
    return load()
  }

  return { versions, current, unit, rulesOf, load, reload, save }
})
