/** Reference implementation of a plane homography; for tests only. */
declare module 'perspective-transform' {
  function perspectiveTransform(
    from: readonly number[],
    to: readonly number[],
  ): { transform(x: number, y: number): number[] };
  export = perspectiveTransform;
}
