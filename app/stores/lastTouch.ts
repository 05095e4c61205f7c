/** When somebody last touched this screen, whatever it shows. */
let last = Date.now()

if (typeof window !== 'undefined')
  for (const act of ['pointerdown', 'keydown', 'wheel'] as const)
    window.addEventListener(act, () => (last = Date.now()), { capture: true, passive: true })

/** For how long nobody has touched this screen, whole seconds. */
export const secondsUntouched = (): number => Math.floor((Date.now() - last) / 1000)
