import { USUAL_SCHOOLS, type SchoolPoint, type Schools } from '../schools/schools.js';

/** What a stand says about a starting recipe where it moves no figure of it. */
export interface SchoolNote {
  school: SchoolPoint;
  note: string;
}

const POUR_WHERE: Record<Schools['pour-where'], string> = {
  'by-brewer': 'pour as the brewer asks: a ribbed cone takes a centre pour, a smooth one circles',
  centre: 'pour to the centre',
  circle: 'pour in circles from the centre out',
};
const FINES: Record<Schools['fines'], string | null> = {
  leave: null,
  sieve: 'the fines are sieved out: what stays is weighed as the dose. Do not breathe the dust',
  'blend-grinds': 'a coarser second grind is mixed in, for aroma beside sweetness',
};
const FIRST_LEVER: Record<Schools['first-lever'], string> = {
  grind: 'the grind is the first thing to change',
  ratio: 'the ratio is the first thing to change',
  kettle: 'the kettle is the first thing to change',
  pours: 'the pours are the first thing to change',
};
const AIM: Record<Schools['aim'], string> = {
  classic: 'the aim is the house\u2019s own window',
  light: 'the aim is a light cup, 1.20 to 1.25 %',
  strong: 'the aim is a strong cup, 1.30 to 1.45 %',
  'high-yield': 'the aim is a yield of 20 to 23 %',
};

/** The notes of the house's stands, in the order of the disputed points. */
export function schoolNotes(schools: Schools = USUAL_SCHOOLS): SchoolNote[] {
  const fines = FINES[schools.fines];
  return [
    { school: 'first-lever', note: FIRST_LEVER[schools['first-lever']] },
    { school: 'pour-where', note: POUR_WHERE[schools['pour-where']] },
    ...(fines === null ? [] : [{ school: 'fines', note: fines } as const]),
    { school: 'aim', note: AIM[schools.aim] },
  ];
}
