import { useLocalStorage } from '@vueuse/core'
import { ref } from 'vue'
import { useSession } from '~/stores/session'
import { useSaving } from './saving'

/** What is edited over a version that is in force. */
interface VersionedDraft<Sheet> {
  /** 0 for a sheet that is new. */
  readonly baseVersion: number
  readonly sheet: Sheet
}

/**
 * A sheet of the house that is kept in versions (rules, ladder, criteria, a code book) while it is edited: what is
 * not saved stays in this browser, for the account that edited it, and each save says why.
 * @param name under which the browser keeps it; one for each kind of sheet
 */
export function useVersionedDraft<Sheet>(name: string) {
  const key = `fusilis.sheet.${useSession().me?.id ?? ''}.${name}`
  const draft = useLocalStorage<VersionedDraft<Sheet> | null>(key, null, {
    serializer: { read: text => JSON.parse(text) as VersionedDraft<Sheet> | null, write: JSON.stringify },
    shallow: true,
  })
  const why = ref('')
  const { busy, refused, attempt } = useSaving()

  /** Takes a sheet up to be edited, over the version that is in force. */
  function begin(sheet: Sheet, baseVersion: number): void {
    draft.value = { baseVersion, sheet }
    why.value = ''
    refused.value = ''
  }

  /** Puts the edited sheet in place of the one before. */
  function edit(sheet: Sheet): void {
    if (draft.value) draft.value = { ...draft.value, sheet }
  }

  /** Throws away what was not saved. */
  function leave(): void {
    draft.value = null
    why.value = ''
    refused.value = ''
  }

  /** Saves what was edited, unless something is wrong with it. True when a new version is in force. */
  async function save(
    wrong: string,
    send: (draft: VersionedDraft<Sheet> & { readonly why: string }) => Promise<unknown>,
  ): Promise<boolean> {
    const edited = draft.value
    if (!edited) return false
    const said = why.value.trim()
    const fault = wrong || (said === '' ? 'Say why: it is kept with the version' : '')
    if (!(await attempt(fault, () => send({ ...edited, why: said })))) return false
    leave()
    return true
  }

  return { draft, why, busy, refused, begin, edit, leave, save }
}
