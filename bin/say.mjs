/** Progress for a person at a terminal. */

/** Does a slow step: says what it is, how long it took, and on failure what to do. */
export async function step(what, work, onFailure = '') {
  process.stdout.write(`  ${what} … `)
  const began = Date.now()
  try {
    const result = await work()
    process.stdout.write(`${((Date.now() - began) / 1000).toFixed(1)} s\n`)
    return result
  } catch (error) {
    process.stdout.write('failed\n')
    throw Object.assign(error, { advice: error.advice ?? onFailure })
  }
}

/** Runs a script's main; a failure is said in plain words and ends with 1. */
export async function main(work) {
  try {
    await work()
  } catch (error) {
    console.error(`\n${error.message}`)
    if (error.output) console.error(error.output.trim().split('\n').slice(-25).join('\n'))
    if (error.advice) console.error(`\nWhat to do: ${error.advice}`)
    process.exitCode = 1
  }
}
