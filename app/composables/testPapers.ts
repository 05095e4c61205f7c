import type { CodeBook } from '~~/core/qualification'
import type { WelderTest } from '~~/core/welderTest'
import { useSession } from '~/stores/session'
import { messageOf } from '~/stores/request'
import { useWelderTest } from '~/stores/welderTest'
import { saveFile } from './saveFile'

/** The papers of a test: the record and the labels as PDF, and the whole of it as JSON. */
export function useTestPapers(of: () => { document: WelderTest; book: CodeBook; student: string }) {
  const session = useSession()
  const run = useWelderTest()
  const busy = ref('')
  const problem = ref('')
  const name = () => `${of().student} ${of().document.pieceName} ${of().document.testDay}`

  /** A paper of its own, made while the button says so; what goes wrong is said. */
  async function make(what: string, work: () => Promise<void>): Promise<void> {
    if (busy.value) return
    busy.value = what
    problem.value = ''
    try {
      await work()
    } catch (error) {
      problem.value = `The ${what} could not be made: ${messageOf(error)}`
    } finally {
      busy.value = ''
    }
  }

  const record = () =>
    make('record', async () => {
      const { recordPdf } = await import('~/papers/recordPdf')
      const { document: test, book, student } = of()
      const { school } = await session.welcome()
      saveFile(
        await recordPdf(test, book, { school: school ?? '', student, drawing: drawnAsSvg() }),
        `record ${name()}.pdf`,
      )
    })
  const labels = () =>
    make('labels', async () => {
      const { labelsPdf } = await import('~/papers/labelsPdf')
      const { document: test, book, student } = of()
      saveFile(await labelsPdf(test, book, student), `labels ${name()}.pdf`)
    })
  /** The test with its book and its coupon: its reader needs nothing else. */
  const json = () =>
    saveFile(
      new Blob(
        [
          JSON.stringify(
            {
              fusilis: 'test record',
              student: of().student,
              test: of().document,
              book: of().book,
              coupon: run.coupon?.document ?? null,
            },
            null,
            2,
          ),
        ],
        { type: 'application/json' },
      ),
      `test ${name()}.json`,
    )

  return { busy, problem, record, labels, json }
}

/** The drawing of the piece on the page, with its colours written out: a PDF knows no variables of the page. */
function drawnAsSvg(): string | null {
  const svg = window.document.querySelector<SVGElement>('#specimens svg')
  if (!svg) return null
  const copy = svg.cloneNode(true) as SVGElement
  const originals = svg.querySelectorAll<SVGElement>('*')
  copy.querySelectorAll<SVGElement>('*').forEach((node, n) => {
    const { fill, stroke, fontWeight, textAnchor, strokeDasharray, opacity } = getComputedStyle(originals[n]!)
    if (!node.getAttribute('fill')?.startsWith('url')) node.setAttribute('fill', fill)
    node.setAttribute('stroke', stroke)
    if (node.tagName === 'text')
      Object.entries({ 'font-weight': fontWeight, 'text-anchor': textAnchor, 'fill': '#14191c' }).forEach(
        ([name, value]) => node.setAttribute(name, value),
      )
    if (strokeDasharray !== 'none') node.setAttribute('stroke-dasharray', strokeDasharray.replaceAll('px', ''))
    node.setAttribute('opacity', opacity)
    node.removeAttribute('class')
  })
  return new XMLSerializer().serializeToString(copy)
}
