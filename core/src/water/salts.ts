/** Standard atomic weights, g/mol. Source: IUPAC 2021, conventional values (from memory). */
const WEIGHT = {
  H: 1.008,
  C: 12.011,
  O: 15.999,
  Na: 22.99,
  Mg: 24.305,
  S: 32.06,
  Cl: 35.45,
  K: 39.098,
  Ca: 40.078,
} as const;

const WATER_OF_CRYSTAL = 2 * WEIGHT.H + WEIGHT.O;
const SULPHATE = WEIGHT.S + 4 * WEIGHT.O;
const BICARBONATE = WEIGHT.H + WEIGHT.C + 3 * WEIGHT.O;

/** Ions that brewing water is described by. */
export const IONS = [
  'calcium',
  'magnesium',
  'sodium',
  'potassium',
  'bicarbonate',
  'sulphate',
  'chloride',
] as const;
export type Ion = (typeof IONS)[number];

export const ION_G_PER_MOL: Record<Ion, number> = {
  calcium: WEIGHT.Ca,
  magnesium: WEIGHT.Mg,
  sodium: WEIGHT.Na,
  potassium: WEIGHT.K,
  bicarbonate: BICARBONATE,
  sulphate: SULPHATE,
  chloride: WEIGHT.Cl,
};

/** One mole of CaCO3, g: the unit in which hardness and alkalinity are stated. */
export const CALCIUM_CARBONATE_G_PER_MOL = WEIGHT.Ca + WEIGHT.C + 3 * WEIGHT.O;

/** Food-grade salts that labs mix water from, with the moles of each ion in a mole of salt. */
export const SALTS = {
  'magnesium sulphate heptahydrate': {
    formula: 'MgSO4 7H2O',
    gPerMol: WEIGHT.Mg + SULPHATE + 7 * WATER_OF_CRYSTAL,
    ions: { magnesium: 1, sulphate: 1 },
  },
  'magnesium chloride hexahydrate': {
    formula: 'MgCl2 6H2O',
    gPerMol: WEIGHT.Mg + 2 * WEIGHT.Cl + 6 * WATER_OF_CRYSTAL,
    ions: { magnesium: 1, chloride: 2 },
  },
  'calcium chloride dihydrate': {
    formula: 'CaCl2 2H2O',
    gPerMol: WEIGHT.Ca + 2 * WEIGHT.Cl + 2 * WATER_OF_CRYSTAL,
    ions: { calcium: 1, chloride: 2 },
  },
  'sodium bicarbonate': {
    formula: 'NaHCO3',
    gPerMol: WEIGHT.Na + BICARBONATE,
    ions: { sodium: 1, bicarbonate: 1 },
  },
  'potassium bicarbonate': {
    formula: 'KHCO3',
    gPerMol: WEIGHT.K + BICARBONATE,
    ions: { potassium: 1, bicarbonate: 1 },
  },
} as const satisfies Record<string, { formula: string; gPerMol: number; ions: Partial<Record<Ion, number>> }>;

export type Salt = keyof typeof SALTS;
