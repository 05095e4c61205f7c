import { useLocalStorage, useMediaQuery, usePreferredDark } from '@vueuse/core'
import { useTheme } from 'vuetify'

/**
 * The light theme of the shop or the dark one of the booth: as chosen here, else as the device is set. Paper is
 * white: what is printed is printed as in the shop.
 */
export function useShopTheme() {
  const prefersDark = usePreferredDark()
  const chosen = useLocalStorage<'shop' | 'booth' | ''>('fusilis.theme', '')
  const theme = useTheme()
  const isPaper = useMediaQuery('print')
  const name = computed(() => chosen.value || (prefersDark.value ? 'booth' : 'shop'))
  watch(
    () => (isPaper.value ? 'shop' : name.value),
    shown => theme.change(shown),
    { immediate: true, flush: 'sync' },
  )
  return {
    isDark: computed(() => name.value === 'booth'),
    toggle: () => {
      chosen.value = name.value === 'booth' ? 'shop' : 'booth'
    },
  }
}
