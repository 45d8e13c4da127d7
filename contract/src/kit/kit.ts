import type { BrewerShape, CalibrationPoint, ExtractionWindow } from '@vendu/core';

export interface BrewerView {
  id: number;
  name: string;
  shape: BrewerShape;
  outlet: string;
  paper: string;
  usualDoseG: number;
  capacityG: number;
}

export interface GrinderView {
  id: number;
  name: string;
  burrSet: string;
  /** Smallest step of its scale. */
  settingStep: number;
  points: CalibrationPoint[];
}

export interface HouseView {
  name: string;
  place: string;
  elevationM: number;
  window: ExtractionWindow;
}

export interface KitView {
  house: HouseView;
  brewers: BrewerView[];
  grinders: GrinderView[];
}
