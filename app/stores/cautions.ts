import { defineStore } from 'pinia'
import type { StudentCautions } from '~~/contract/cautions'
import { request } from './request'

const at = (studentId: string) => `/api/students/${studentId}/cautions`

/** Cautions that a student says were read. */
export const useCautions = defineStore('cautions', () => ({
  of: (studentId: string) => request<StudentCautions>('GET', at(studentId)),
  /** Says that texts were read, in the words that were shown. */
  sayRead: (studentId: string, texts: readonly string[]) => request<StudentCautions>('PUT', at(studentId), { texts }),
}))
