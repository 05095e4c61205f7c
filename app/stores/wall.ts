import { defineStore } from 'pinia'
import type { WallClass } from '~~/contract/floor'
import { setShopClock } from '~/composables/shopClock'
import { useBlindReadings } from './blindReadings'
import { request } from './request'
import { useSections } from './sections'
import { useSession } from './session'

/** The class on a wall screen: an instructor's own, or a tablet's that was handed over to a section. */
export const useWall = defineStore('wall', () => {
  const shown = shallowRef<WallClass | null>(null)
  const sectionId = ref<string | null>(null)

  async function load(): Promise<void> {
    sectionId.value = useSession().me ? await taught() : await ofTablet()
    if (sectionId.value) await follow()
  }
  async function taught(): Promise<string | null> {
    const sections = useSections()
    if (!sections.loaded) await sections.load()
    return sections.current?.id ?? null
  }
  async function ofTablet(): Promise<string | null> {
    const readings = useBlindReadings()
    await readings.askKiosk()
    return readings.kiosk?.sectionId ?? null
  }
  async function follow(): Promise<void> {
    shown.value = await request<WallClass>('GET', `/api/sections/${sectionId.value}/wall`)
    setShopClock(shown.value)
  }
  return { shown, sectionId, load, follow }
})
