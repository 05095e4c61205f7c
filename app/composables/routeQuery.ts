import { useDebounceFn } from '@vueuse/core'

/** A value that lives in the page's address, so that a link opens it again. */
export function useRouteQuery(name: string, start: string) {
  const route = useRoute()
  const router = useRouter()
  const asked = route.query[name]
  const value = ref(typeof asked === 'string' ? asked : start)
  const { path } = route
  watch(
    value,
    useDebounceFn(() => {
      if (route.path === path) void router.replace({ query: { ...route.query, [name]: value.value } })
    }, 250),
  )
  return value
}
