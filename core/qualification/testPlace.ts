/** What is welded on a test: a groove or a fillet, in plate or pipe. */
export type TestForm = 'plate' | 'pipe'
export type TestWeld = 'groove' | 'fillet'
export const TEST_POSITIONS = ['1G', '2G', '3G', '4G', '5G', '6G', '6GR', '1F', '2F', '2FR', '3F', '4F', '5F'] as const
export type TestPosition = (typeof TEST_POSITIONS)[number]
