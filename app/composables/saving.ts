import { messageOf } from '~/stores/request'

/** The state of a page's save: whether it is on its way, and why it was refused. */
export function useSaving() {
  const busy = ref(false)
  const refused = ref('')

  /** Saves, unless something is wrong already, or the last save is still on its way. True when it went through. */
  async function attempt(wrong: string, work: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    refused.value = wrong
    if (wrong) return false
    busy.value = true
    try {
      await work()
      return true
    } catch (error) {
      refused.value = messageOf(error)
      return false
    } finally {
      busy.value = false
    }
  }

  return { busy, refused, attempt }
}
