import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { Section, SectionFields } from '~~/contract/people'
import { request } from './request'
import { useSession } from './session'

/** The school's sections, and the one that is being taught. */
export const useSections = defineStore('sections', () => {
  const all = ref<Section[]>([])
  const loaded = ref(false)
  const chosen = useLocalStorage('fusilis.section', '')

  const current = computed(() => all.value.find(section => section.id === chosen.value) ?? all.value[0] ?? null)

  /** Why there is nothing to show, where there is none. */
  const none = computed(() =>
    useSession().me?.sectionIds ? 'You teach no section yet: a lead adds you to one.' : 'There is no section yet.',
  )

  async function load(): Promise<void> {
    all.value = await request<Section[]>('GET', '/api/sections')
    loaded.value = true
  }

  function choose(id: string): void {
    chosen.value = id
  }

  async function save(id: string | null, fields: SectionFields): Promise<void> {
    const saved = await request<Section>(id ? 'PUT' : 'POST', id ? `/api/sections/${id}` : '/api/sections', fields)
    await load()
    if (!id) choose(saved.id)
  }

  return { all, loaded, current, none, load, choose, save }
})
