import type { WaterDto } from '@vendu/contract';

// The invented lab and what it brews with. No maker or brand here is real.

export const HOUSE = {
  name: 'Ninth Mole Coffee',
  place: 'Port Ossel',
  elevationM: 12,
  roomC: 21,
  tdsLowPercent: 1.2,
  tdsHighPercent: 1.4,
  yieldLowPercent: 18.5,
  yieldHighPercent: 21.5,
};

export const PAPERS = [
  {
    name: 'Tarn white, ordinary',
    resistancePerM: 1.776e8,
    rinseG: 100,
    fold: 'smooth',
    body: 'some',
    isBleached: true,
  },
  {
    name: 'Gannet pleated, fast',
    resistancePerM: 1.203e8,
    rinseG: 100,
    fold: 'pleated',
    body: 'much',
    isBleached: true,
  },
  {
    name: 'Fender folded, thick',
    resistancePerM: 7.204e8,
    rinseG: 300,
    fold: 'smooth',
    seating: 'spoon',
    body: 'little',
    isBleached: false,
    soakMin: 10,
  },
] as const;

export const BREWERS = [
  {
    name: 'Kittiwake cone',
    shape: 'cone',
    topDiameterMm: 118,
    bottomDiameterMm: 20,
    heightMm: 85,
    outletDiameterMm: 19,
    outletCount: 1,
    ribs: 'full',
    wallMaterial: 'ceramic',
    wallMm: 4,
    paper: 0,
    usualDoseG: 16,
    capacityG: 350,
  },
  {
    name: 'Slipway flat',
    shape: 'flat-bottom',
    topDiameterMm: 108,
    bottomDiameterMm: 50,
    heightMm: 66,
    outletDiameterMm: 6,
    outletCount: 3,
    ribs: 'none',
    paper: 1,
    usualDoseG: 17,
    capacityG: 320,
  },
  {
    name: 'Lantern carafe',
    shape: 'carafe',
    topDiameterMm: 158,
    bottomDiameterMm: 20,
    heightMm: 120,
    outletDiameterMm: 19,
    outletCount: 1,
    ribs: 'none',
    wallMaterial: 'glass',
    wallMm: 3,
    paper: 2,
    usualDoseG: 32,
    capacityG: 750,
  },
] as const;

/** Another bottom for the flat brewer, by its place in the list. */
export const BOTTOM = {
  of: 1,
  paper: 1,
  name: 'Slipway flat, open bottom',
  bottomDiameterMm: 50,
  outletDiameterMm: 16,
  outletCount: 1,
  usualDoseG: 17,
  capacityG: 320,
  advisedLowC: 88,
  advisedHighC: 93,
} as const;

export const SIEVES = [
  { name: 'Driftnet, fine', holesUm: 250 },
  { name: 'Driftnet, coarse', holesUm: 400 },
] as const;

export const FEEDERS = [
  { kind: 'regulator', name: 'Sluice funnel', holeMm: 2.5, holdsG: 220, flowGps: 2.4 },
  { kind: 'shower-plate', name: 'Drizzle plate', holeMm: 1, holdsG: 40 },
] as const;

/** What others state of the two grinders, by their places in the list: two tables that disagree. */
export const STATED = [
  { grinder: 0, setting: 6, otherGrinder: 1, otherSetting: 22, source: 'Lighthouse Street bar' },
  { grinder: 0, setting: 6, otherGrinder: 1, otherSetting: 25, source: 'a customer, by letter' },
] as const;

export const KETTLES = [
  {
    name: 'Cormorant gooseneck',
    stepC: 1,
    hasScale: false,
    mostFlowGps: 14,
    holdsWithinC: 1,
    lidStaysOpen: true,
  },
  { name: 'Cormorant gooseneck, second', stepC: 1, hasScale: false, mostFlowGps: 14, holdsWithinC: 1.5 },
] as const;

export const WATERS: Omit<WaterDto, 'revision'>[] = [
  {
    name: 'Mole tap, softened',
    origin: 'analysis',
    hardnessMgPerL: 64,
    alkalinityMgPerL: 88,
    mineralsMgPerL: 190,
    mix: null,
  },
  {
    name: 'Bench water',
    origin: 'mixed',
    hardnessMgPerL: 70,
    alkalinityMgPerL: 40,
    mineralsMgPerL: 118,
    mix: {
      bottleL: 10,
      base: { hardnessMgPerL: 0, alkalinityMgPerL: 0 },
      concentrates: [
        { name: 'Epsom salt, 20 g to the litre', hardnessPerG: 8.1, alkalinityPerG: 0, gPerL: 8.6 },
        { name: 'Baking soda, 16 g to the litre', hardnessPerG: 0, alkalinityPerG: 9.5, gPerL: 4.2 },
      ],
    },
  },
];

/** The water its recipes are brewed with. */
export const HOUSE_WATER = 1;

export const INSTRUMENTS = [
  { kind: 'refractometer', name: 'Bench refractometer', resolution: 0.01, zeroEveryDays: 1, zeroDaysAgo: 0 },
  { kind: 'scale', name: 'Left scale', resolution: 0.1, zeroEveryDays: 30, zeroDaysAgo: 12 },
  { kind: 'scale', name: 'Right scale', resolution: 0.1, zeroEveryDays: 30, zeroDaysAgo: 41 },
  { kind: 'thermometer', name: 'Kettle probe', resolution: 0.1, zeroEveryDays: 90, zeroDaysAgo: 20 },
] as const;

export const GRINDERS = [
  {
    name: 'Halyard',
    burrSet: 'flat burrs, second set',
    settingStep: 0.1,
    points: [
      { setting: 2, grindUm: 470 },
      { setting: 4, grindUm: 605 },
      { setting: 6, grindUm: 760 },
      { setting: 8, grindUm: 935 },
      { setting: 10, grindUm: 1130 },
    ],
    finestSetting: 0,
    coarsestSetting: 12,
    burrsKg: 410,
    retainedG: 0.6,
    words: [
      { word: 'fine', fromSetting: 2, toSetting: 4 },
      { word: 'medium-fine', fromSetting: 4.1, toSetting: 5.5 },
      { word: 'medium', fromSetting: 5.6, toSetting: 7.5 },
      { word: 'coarse', fromSetting: 7.6, toSetting: 12 },
    ],
  },
  {
    name: 'Sextant hand grinder',
    burrSet: 'conical burrs',
    settingStep: 1,
    points: [
      { setting: 14, grindUm: 510 },
      { setting: 20, grindUm: 690 },
      { setting: 26, grindUm: 885 },
      { setting: 32, grindUm: 1095 },
    ],
  },
  {
    name: 'Gangway hand grinder',
    burrSet: 'small conical burrs',
    owner: 'Lighthouse Street bar',
    settingStep: 1,
    points: [
      { setting: 8, grindUm: 480, sdUm: 45 },
      { setting: 18, grindUm: 830, sdUm: 60 },
      { setting: 26, grindUm: 1160, sdUm: 80 },
    ],
  },
] as const;
