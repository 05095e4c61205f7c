import { defineStore } from 'pinia'
import type { Account, AccountFields, RosterImport, Student, StudentFields } from '~~/contract/people'
import type { Erasure } from '~~/contract/personData'
import { request } from './request'

/** Students of a section, and the school's accounts. */
export const usePeople = defineStore('people', () => {
  const students = ref<Student[]>([])
  const accounts = ref<Account[]>([])

  async function loadStudents(sectionId: string): Promise<void> {
    students.value = await request<Student[]>('GET', `/api/sections/${sectionId}/students`)
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

  async function loadAccounts(): Promise<void> {
    accounts.value = await request<Account[]>('GET', '/api/accounts')
  }

  async function saveAccount(id: string | null, fields: AccountFields & { password?: string }): Promise<void> {
    await request(id ? 'PUT' : 'POST', id ? `/api/accounts/${id}` : '/api/accounts', fields)
    await loadAccounts()
  }

  return { students, accounts, loadStudents, saveStudent, erase, setCode, importRoster, loadAccounts, saveAccount }
})
