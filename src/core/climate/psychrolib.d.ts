/** Reference psychrometric library; for tests only. */
declare module 'psychrolib' {
  const psychrolib: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    /** Temperature °C, humidity 0…1 → °C. */
    GetTDewPointFromRelHum(temperature: number, humidity: number): number;
    /** Temperature °C → Pa. */
    GetSatVapPres(temperature: number): number;
  };
  export = psychrolib;
}
