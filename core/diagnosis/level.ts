import type { CouponDocument } from '../coupon'
import { runAs } from '../trade'

/**
 * Whether the weld runs level on an upright face, so that one toe is above the other and metal sags to the lower. In
 * any other position the toes are alike: which is called the upper is a matter of the drawing.
 */
export const isLevel = ({ ticket }: Pick<CouponDocument, 'ticket'>): boolean => runAs(ticket.position) === '2G'
