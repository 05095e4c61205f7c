/** Files of browser tests that run at once each have a school: its server's address and its database. */
const schools = JSON.parse(process.env.FUSILIS_SCHOOLS!) as NodeJS.ProcessEnv[]
Object.assign(process.env, schools[Number(process.env.VITEST_POOL_ID) - 1])
