declare module 'perspective-transform' {
  /** A homography by four points, each list as x, y, x, y and so on. */
  export default function PerspT(
    from: readonly number[],
    to: readonly number[],
  ): { readonly transform: (x: number, y: number) => [number, number] }
}
