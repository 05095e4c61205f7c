import type { TDocumentDefinitions } from 'pdfmake/interfaces'

/** Makes a PDF; the library and its fonts are fetched from the school's own server when first asked for. */
export async function makePdf(content: TDocumentDefinitions): Promise<Blob> {
  const [{ default: pdfMake }, { default: fonts }] = await Promise.all([
    import('pdfmake/build/pdfmake'),
    import('pdfmake/build/vfs_fonts'),
  ])
  pdfMake.addVirtualFileSystem(fonts)
  return pdfMake.createPdf(content).getBlob()
}
