/** Tap water may differ by so much of a figure before it tastes of it, mg/L as CaCO3 (assumed). */
const APART_MG_PER_L = 40;

/**
 * What the water was, and what to do with another. Common practice: alkalinity buffers acids, hardness carries what
 * extracts; stated brewing waters run from 80 to 120 mg/L in all.
 */
export function waterAdvice({
  hardnessMgPerL,
  alkalinityMgPerL,
}: {
  hardnessMgPerL: number;
  alkalinityMgPerL: number;
}): string[] {
  const [hard, buffered] = [hardnessMgPerL, alkalinityMgPerL].map(Math.round);
  return [
    `Brewed with water of ${hard} mg/L hardness and ${buffered} mg/L alkalinity (as CaCO3).`,
    `Harder than ${Math.round(hardnessMgPerL + APART_MG_PER_L)} or more alkaline than ${Math.round(alkalinityMgPerL + APART_MG_PER_L)} mg/L, the cup turns flat and chalky: filter it, or mix it half and half with water of few minerals.`,
    'Much softer, it turns sharp and thin: take a bottled water between the two.',
  ];
}
