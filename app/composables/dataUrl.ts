/** A file as an address that holds it whole. */
export const asDataUrl = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(new Error('The picture could not be read in this browser.'))
    reader.readAsDataURL(blob)
  })
