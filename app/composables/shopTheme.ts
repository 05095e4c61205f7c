import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { useTheme } from 'vuetify'

/** The light theme of the shop or the dark one of the booth: as chosen here, else as the device is set. */
export function useShopTheme() {
  const prefersDark = usePreferredDark()
  const chosen = useLocalStorage<'shop' | 'booth' | ''>('fusilis.theme', '')
  const theme = useTheme()
  const name = computed(() => chosen.value || (prefersDark.value ? 'booth' : 'shop'))
  watch(name, value => theme.change(value), { immediate: true })
  return {
    isDark: computed(() => name.value === 'booth'),
    toggle: () => {
      chosen.value = name.value === 'booth' ? 'shop' : 'booth'
    },
  }
}
