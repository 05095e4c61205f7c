import type { CodeBook } from '~~/core/qualification'
import type { WelderTest } from '~~/core/welderTest'
import type { PaperPicture } from '~/papers/paperParts'
import { useSession } from '~/stores/session'
import { messageOf } from '~/stores/request'
import { useWelderTest } from '~/stores/welderTest'
import { saveFile } from './saveFile'
import { svgForPaper } from './svgForPaper'

/** The papers of a test: the record and the labels as PDF, and the whole of it as JSON. */
export function useTestPapers(
  of: () => { document: WelderTest; book: CodeBook; student: string },
  pictures: () => Promise<readonly PaperPicture[]>,
) {
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
      const specimens = window.document.querySelector<SVGElement>('#specimens svg')
      const head = {
        ...{ school: school ?? '', student, drawing: specimens && svgForPaper(specimens) },
        pictures: await pictures(),
      }
      saveFile(await recordPdf(test, book, head), `record ${name()}.pdf`)
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
