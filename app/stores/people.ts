import { defineStore } from 'pinia'
import type { Account, AccountFields, RosterImport, Student, StudentFields } from '~~/contract/people'
import type { GuardianConsent, NotedConsent } from '~~/contract/guardianConsent'
import type { Erasure } from '~~/contract/personData'
import type { Retention } from '~~/contract/retention'
import { request } from './request'

/** Students of a section, and the school's accounts. */
export const usePeople = defineStore('people', () => {
  const students = ref<Student[]>([])
  const accounts = ref<Account[]>([])
  const consents = ref<ReadonlyMap<string, NotedConsent>>(new Map())

  async function loadStudents(sectionId: string): Promise<void> {
    students.value = await request<Student[]>('GET', `/api/sections/${sectionId}/students`)
  }
  /** What guardians of a section's students said: for those who keep its roster. */
  async function loadConsents(sectionId: string): Promise<void> {
    const noted = await request<NotedConsent[]>('GET', `/api/sections/${sectionId}/consents`)
    consents.value = new Map(noted.map(one => [one.studentId, one]))
  }

  async function noteConsent(studentId: string, consent: GuardianConsent | null): Promise<void> {
    await request('PUT', `/api/students/${studentId}/consent`, { consent })
  }

  async function saveStudent(id: string | null, fields: StudentFields): Promise<void> {
    await request(id ? 'PUT' : 'POST', id ? `/api/students/${id}` : '/api/students', fields)
  }

  /** Erases a person for good. @throws RequestFailure with the field that is wrong */
  async function erase(id: string, why: Erasure): Promise<void> {
    await request('POST', `/api/students/${id}/erase`, why)
  }

  async function setCode(id: string, code: string): Promise<void> {
    await request('PUT', `/api/students/${id}/code`, { code })
  }

  const importRoster = (roster: RosterImport) => request<Student[]>('POST', '/api/students/import', roster)

  /** Whose records go next, by how long the school keeps them. */
  const retention = () => request<Retention>('GET', '/api/school/retention')
  const keepFor = (months: number | null) => request('PUT', '/api/school/retention', { months })

  async function loadAccounts(): Promise<void> {
    accounts.value = await request<Account[]>('GET', '/api/accounts')
  }

  async function saveAccount(id: string | null, fields: AccountFields & { password?: string }): Promise<void> {
    await request(id ? 'PUT' : 'POST', id ? `/api/accounts/${id}` : '/api/accounts', fields)
    await loadAccounts()
  }

  return {
    students,
    accounts,
    consents,
    loadStudents,
    loadConsents,
    saveStudent,
    noteConsent,
    erase,
    setCode,
    importRoster,
    retention,
    keepFor,
    loadAccounts,
    saveAccount,
  }
})
