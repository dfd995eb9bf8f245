/** Of the psychrometrics library of the registry, what the references ask. Temperatures °C, pressures Pa, once it is told to reckon so. */
declare module "psychrolib" {
  interface Psychrometrics {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    GetSatVapPres(dryBulbC: number): number;
    GetTDewPointFromRelHum(dryBulbC: number, relativeHumidity: number): number;
    GetTWetBulbFromRelHum(dryBulbC: number, relativeHumidity: number, pressurePa: number): number;
  }
  const psychrometrics: Psychrometrics;
  export default psychrometrics;
}
