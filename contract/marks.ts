/**
 * What every answer of the API carries, so that a page can tell the school's own server from another program that
 * answers in its place: the sign-in page of a Wi-Fi, a proxy, another school's Fusilis.
 */

/** The header that says which school answers. */
export const SCHOOL_MARK = 'x-fusilis-school'

/** The header that says of which thing a request was carried out: the id in its address. */
export const DONE_MARK = 'x-fusilis-done'
