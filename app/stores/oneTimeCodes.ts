import { defineStore } from 'pinia'
import type { CodesOffer, OwnCodes, RecoveryCodes } from '~~/contract/oneTimeCodes'
import { request } from './request'
import { useSession } from './session'

/** One-time codes of one's own sign-in, and whether the school wants them of its staff. */
export const useOneTimeCodes = defineStore('oneTimeCodes', () => {
  const session = useSession()
  const own = () => request<OwnCodes>('GET', '/api/session/codes')
  const offer = () => request<CodesOffer>('GET', '/api/session/codes/offer')

  /** @returns recovery codes, shown this once. @throws RequestFailure with the field that is wrong */
  async function turnOn(save: { password: string; secret: string; code: string }): Promise<readonly string[]> {
    return (await request<RecoveryCodes>('PUT', '/api/session/codes', save)).recovery
  }

  const turnOff = (password: string) => request('POST', '/api/session/codes/off', { password }).then(() => {})

  /** A phone is lost: its account signs in by the password alone until codes are set up anew. */
  const takeOff = (accountId: string) => request('DELETE', `/api/accounts/${accountId}/codes`).then(() => {})

  async function wantOfStaff(wanted: boolean): Promise<void> {
    await request('PUT', '/api/school/codes', { wanted })
    await session.askAgain()
  }

  return { own, offer, turnOn, turnOff, takeOff, wantOfStaff }
})
