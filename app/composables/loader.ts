import { reach } from '~/sync/reach'
import { messageOf } from '~/stores/request'

/** Runs a page's loading: whether it is under way, and what went wrong in words. */
export function useLoader(work: () => Promise<void>) {
  const loading = ref(true)
  const problem = ref('')
  async function load(): Promise<void> {
    loading.value = true
    problem.value = ''
    try {
      await work()
    } catch (error) {
      problem.value = messageOf(error)
    } finally {
      loading.value = false
    }
  }
  return { loading, problem, load }
}

/** What is asked for when it is looked at, and not carried round before: once more as soon as the server is back. */
export function useLookedAt<T>(nothing: T, ask: () => Promise<T>) {
  const found = shallowRef(nothing)
  const { loading, problem, load } = useLoader(async () => {
    found.value = await ask()
  })
  onMounted(load)
  watch(
    () => reach.away,
    away => {
      if (away === null && problem.value) void load()
    },
  )
  return { found, loading, problem, load }
}
