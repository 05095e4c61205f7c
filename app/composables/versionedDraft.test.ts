import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useVersionedDraft } from './versionedDraft'

vi.mock('~/stores/session', () => ({ useSession: () => ({ me: { id: 'lead' } }) }))
vi.mock('./saving', async () => {
  const { ref } = await import('vue')
  return {
    useSaving: () => {
      const [busy, refused] = [ref(false), ref('')]
      const attempt = async (wrong: string, work: () => Promise<unknown>) => {
        refused.value = wrong
        if (wrong) return false
        return work().then(
          () => true,
          (error: Error) => {
            refused.value = error.message
            return false
          },
        )
      }
      return { busy, refused, attempt }
    },
  }
})

interface Sheet {
  readonly name: string
}
let sheet: ReturnType<typeof useVersionedDraft<Sheet>>
const send = vi.fn(async () => {})
beforeEach(() => {
  send.mockReset()
  send.mockResolvedValue(undefined)
  sheet = useVersionedDraft<Sheet>('test')
  sheet.leave()
})

describe('a sheet that is edited over a version', () => {
  it('keeps the version it began from, whatever is edited after', () => {
    sheet.begin({ name: 'ours' }, 4)
    sheet.edit({ name: 'ours, better' })
    expect(sheet.draft.value).toEqual({ baseVersion: 4, sheet: { name: 'ours, better' } })
  })

  it('cannot be edited before it is begun', () => {
    sheet.edit({ name: 'nothing' })
    expect(sheet.draft.value).toBeNull()
  })

  it('is not sent without a why, nor with what is wrong; nothing is lost', async () => {
    sheet.begin({ name: 'ours' }, 4)
    sheet.why.value = '   '
    expect(await sheet.save('', send)).toBe(false)
    expect(sheet.refused.value).toBe('Say why: it is kept with the version')
    sheet.why.value = 'because'
    expect(await sheet.save('Give it a name', send)).toBe(false)
    expect(sheet.refused.value).toBe('Give it a name')
    expect(send).not.toHaveBeenCalled()
    expect(sheet.draft.value?.sheet).toEqual({ name: 'ours' })
  })

  it('is sent with its why trimmed, and is over once it is in force', async () => {
    sheet.begin({ name: 'ours' }, 4)
    sheet.why.value = '  new edition '
    expect(await sheet.save('', send)).toBe(true)
    expect(send).toHaveBeenCalledWith({ baseVersion: 4, sheet: { name: 'ours' }, why: 'new edition' })
    expect([sheet.draft.value, sheet.why.value]).toEqual([null, ''])
  })

  it('stays as it is when the server refuses', async () => {
    sheet.begin({ name: 'ours' }, 4)
    sheet.why.value = 'new edition'
    send.mockRejectedValue(new Error('Somebody saved version 5'))
    expect(await sheet.save('', send)).toBe(false)
    expect(sheet.refused.value).toBe('Somebody saved version 5')
    expect([sheet.draft.value?.baseVersion, sheet.why.value]).toEqual([4, 'new edition'])
  })

  it('begun again, it forgets what was said of the one before', () => {
    sheet.begin({ name: 'ours' }, 4)
    sheet.why.value = 'because'
    sheet.begin({ name: 'another' }, 0)
    expect([sheet.why.value, sheet.draft.value?.baseVersion]).toEqual(['', 0])
  })
})
