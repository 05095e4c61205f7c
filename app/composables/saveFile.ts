/** How long a browser may take to fetch what it was handed. */
const KEPT_MS = 60_000

/** Hands a file to the person at the screen, under a name that every system takes. */
export function saveFile(content: Blob, name: string): void {
  const address = URL.createObjectURL(content)
  Object.assign(document.createElement('a'), {
    href: address,
    download: name.replace(/[^\p{L}\p{N} ._-]+/gu, ''),
  }).click()
  setTimeout(() => URL.revokeObjectURL(address), KEPT_MS)
}
