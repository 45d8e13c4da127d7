import { brimfulG, type BrewerBuild, type BrewerMeasures } from './brewerGeometry.js';

/** What of a brewer's figures cannot be together, and what would be taken. */
export interface BrewerFault {
  field: 'topDiameterMm' | 'outletDiameterMm' | 'wallMaterial' | 'capacityG';
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
  ...measures
}: BrewerMeasures & Partial<BrewerBuild> & { capacityG: number }): BrewerFault[] {
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
