import { defineStore } from 'pinia'
import type { SavedCoupon } from '~~/contract/coupon'
import type { StudentToday } from '~~/contract/studentToday'
import { request } from './request'

/** A student's own day, and the coupon that was read last. */
export const useOwnDay = defineStore('ownDay', () => {
  const of = (studentId: string) => request<StudentToday>('GET', `/api/students/${studentId}/today`)
  /** What was said of a coupon: its student has seen it from then on, and reads it blind no more. */
  const coupon = (couponId: string) => request<SavedCoupon>('GET', `/api/coupons/${couponId}`)
  return { of, coupon }
})
