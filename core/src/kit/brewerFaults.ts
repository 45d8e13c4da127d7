import { brimfulG, type BrewerBuild, type BrewerMeasures } from './brewerGeometry.js';

/** What of a brewer's figures cannot be together, and what would be taken. */
export interface BrewerFault {
  field: 'topDiameterMm' | 'outletDiameterMm' | 'wallMaterial' | 'advisedHighC' | 'capacityG';
  message: string;
  allowed: string;
}

/**
 * Figures of a ruler that contradict each other, the first of each field.
 *
 * @param capacityG - most water of a brew, g
 */
export function brewerFaults({
  capacityG,
  wallMaterial = null,
  wallMm = null,
  advisedLowC = null,
  advisedHighC = null,
  ...measures
}: BrewerMeasures &
  Partial<BrewerBuild> & {
    capacityG: number;
    advisedLowC?: number | null;
    advisedHighC?: number | null;
  }): BrewerFault[] {
  const { topDiameterMm, bottomDiameterMm, outletDiameterMm, outletCount } = measures;
  const faults: BrewerFault[] = [];
  if (topDiameterMm < bottomDiameterMm) {
    faults.push({
      field: 'topDiameterMm',
      message: `The top is narrower than the bottom of ${bottomDiameterMm} mm.`,
      allowed: `${bottomDiameterMm} mm or more`,
    });
  }
  // So many holes of one size lie side by side in a round floor only if their areas fit into it.
  const widestMm = Math.floor((bottomDiameterMm / Math.sqrt(outletCount)) * 10) / 10;
  if (outletDiameterMm > widestMm) {
    faults.push({
      field: 'outletDiameterMm',
      message: `${outletCount === 1 ? 'The hole is' : 'The holes are'} wider than the bottom of ${bottomDiameterMm} mm.`,
      allowed: `up to ${widestMm} mm`,
    });
  }
  if (wallMm !== null && wallMaterial === null) {
    faults.push({
      field: 'wallMaterial',
      message: `Choose what the wall of ${wallMm} mm is made of, or leave its thickness open.`,
      allowed: 'a material, or no thickness',
    });
  }
  if (advisedLowC !== null && advisedHighC !== null && advisedHighC < advisedLowC) {
    faults.push({
      field: 'advisedHighC',
      message: `The maker's advice must end at ${advisedLowC} °C or hotter.`,
      allowed: `${advisedLowC} °C or more`,
    });
  }
  const brimG = brimfulG(measures);
  if (faults.length === 0 && capacityG > brimG) {
    faults.push({
      field: 'capacityG',
      message: `The brewer is brimful with ${brimG} g.`,
      allowed: `up to ${brimG} g`,
    });
  }
  return faults;
}
