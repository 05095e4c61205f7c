import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const FOLDER = new URL('../server/workers/', import.meta.url)

/** The source of a worker with all that it imports, as a module that exports it: threads need no file of their own. */
async function workerScript(name) {
  const { outputFiles } = await build({
    entryPoints: [fileURLToPath(new URL(`${name}.worker.ts`, FOLDER))],
    bundle: true,
    format: 'cjs',
    platform: 'node',
    target: 'node20',
    write: false,
  })
  return `export default ${JSON.stringify(outputFiles[0].text)}`
}

/** Virtual modules for the server's build, `#worker/<name>` for each worker. */
export const workerScripts = names =>
  Object.fromEntries(names.map(name => [`#worker/${name}`, () => workerScript(name)]))
