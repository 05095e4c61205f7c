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
