const KEPT = 'fusilis.touched'
/** How often what was touched is written down, ms. */
const WRITTEN_MS = 10_000

/** When this screen was last touched, on any page. */
let last = Date.now()
let written = 0

/** When this browser was touched before this page was opened, ms since 1970; 0 where it was not. */
export const touchedBefore = typeof window === 'undefined' ? 0 : Number(window.localStorage?.getItem(KEPT) ?? 0)

function touch(): void {
  last = Date.now()
  if (last - written < WRITTEN_MS) return
  written = last
  window.localStorage.setItem(KEPT, String(last))
}

if (typeof window !== 'undefined')
  for (const act of ['pointerdown', 'keydown', 'wheel'] as const)
    window.addEventListener(act, touch, { capture: true, passive: true })

/** For how long this screen was not touched, whole seconds. */
export const secondsUntouched = (): number => Math.floor((Date.now() - last) / 1000)
