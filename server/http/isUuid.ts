const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/

/** Whether a text is an id as this application makes them. */
export const isUuid = (text: string): boolean => UUID.test(text)
