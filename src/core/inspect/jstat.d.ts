declare module 'jstat' {
  export const jStat: {
    readonly normal: { inv(p: number, mean: number, sd: number): number };
    readonly hypgeom: { cdf(x: number, all: number, marked: number, drawn: number): number };
  };
}
