import { defineStore } from 'pinia'
import type { ShopPlan } from '~~/core/floor'
import type { BoothFaultSave, ClampReadingSave, ShopVersion } from '~~/contract/shop'
import { request } from './request'

/** The shop as it is laid out, and what of it is out of service. */
export const useShop = defineStore('shop', () => {
  const shop = shallowRef<ShopVersion>({ version: 0, plan: null, saved: null })

  async function load(): Promise<void> {
    shop.value = await request<ShopVersion>('GET', '/api/shop')
  }
  /** @throws RequestFailure with the field that is wrong, or 409 where another person laid it out meanwhile */
  async function save(baseVersion: number, plan: ShopPlan): Promise<void> {
    shop.value = await request<ShopVersion>('PUT', '/api/shop', { baseVersion, plan })
  }

  const takeOut = (id: string, fault: BoothFaultSave) => request<undefined>('PUT', `/api/booth-faults/${id}`, fault)
  const putBack = (id: string) => request<undefined>('POST', `/api/booth-faults/${id}/clear`)

  /** Keeps what a clamp meter read at a booth's machine. @throws RequestFailure with the field that is wrong */
  const noteClamp = (id: string, reading: ClampReadingSave) =>
    request<undefined>('PUT', `/api/clamp-readings/${id}`, reading)

  return { shop, load, save, takeOut, putBack, noteClamp }
})
