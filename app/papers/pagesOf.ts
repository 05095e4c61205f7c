import { createRequire } from 'node:module'
import pdfMake from 'pdfmake'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'

const { resolve } = createRequire(import.meta.url)
const roboto = (cut: string) => resolve(`pdfmake/fonts/Roboto/Roboto-${cut}.ttf`)

/** How many pages a paper comes to, set in the typeface that a browser sets it in: for tests. */
export async function pagesOf(paper: TDocumentDefinitions): Promise<number> {
  pdfMake.addFonts({
    Roboto: {
      ...{ normal: roboto('Regular'), bold: roboto('Medium') },
      ...{ italics: roboto('Italic'), bolditalics: roboto('MediumItalic') },
    },
  })
  pdfMake.setUrlAccessPolicy(() => false)
  pdfMake.setLocalAccessPolicy(path => path.endsWith('.ttf'))
  const bytes = await pdfMake.createPdf(paper).getBuffer()
  return bytes.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0
}
