/** A worker's bundled source, made by the build: see `workerScripts`. */
declare module '#worker/*' {
  const script: string
  export default script
}
