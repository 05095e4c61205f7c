import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'

/** The folder of the project. */
export const ROOT = fileURLToPath(new URL('..', import.meta.url))

/**
 * Runs a command to its end. With `show` its output is seen as it comes; else it is kept and told when the command
 * fails.
 */
export function run(command, args, { env = {}, show = false } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      env: { ...process.env, ...env },
      stdio: show ? ['ignore', 'inherit', 'inherit'] : ['ignore', 'pipe', 'pipe'],
    })
    let output = ''
    child.stdout?.on('data', data => {
      output += data
    })
    child.stderr?.on('data', data => {
      output += data
    })
    child.on('error', reject)
    child.on('close', code => {
      if (code === 0) resolve(output)
      else reject(Object.assign(new Error(`${command} ${args.join(' ')} ended with ${code}`), { output }))
    })
  })
}

/** Runs a TypeScript task of bin/tasks/. */
export const runTask = (name, args, options) =>
  run(process.execPath, ['--import', 'tsx', `bin/tasks/${name}.ts`, ...args], options)
