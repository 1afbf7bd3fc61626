/** Reference implementation of a plane homography; for tests only. */
declare module 'perspective-transform' {
  export default function perspectiveTransform(
    from: readonly number[],
    to: readonly number[],
  ): { transform(x: number, y: number): number[] };
}
