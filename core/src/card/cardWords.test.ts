import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pourEndS, pourKettlesC, type AgitationHow, type BrewPlan, type Pour } from '../plan/plan.js';
import { parseCupSchedule } from '../plan/cupSchedule.js';
import { valueOf } from '../result.js';
import type { Agitation, AgitationCondition, PourPattern, PourTrigger } from '../vocabulary.js';
import { anyPlan } from '../testing/anyPlan.js';
import { PLAN } from '../testing/brews.js';
import { cardWords, type CardWords } from './cardWords.js';

const figure = (text: string, pattern: RegExp) => Number(pattern.exec(text)?.[1]);

const PATTERNS: Record<string, PourPattern> = {
  'in the centre': 'centre',
  'in circles': 'circle',
  'in spirals': 'spiral',
  'spiralling outwards': 'spiral-out',
  'spiralling inwards': 'spiral-in',
  'along the wall': 'wall',
  'in pulses': 'pulses',
};

const TRIGGERS: Record<string, PourTrigger> = {
  'When all of it is through, pour': 'through',
  'When the bed shows, pour': 'bed-shows',
  'When the water stands': 'level',
};

const DOINGS: Record<string, Agitation> = {
  'swirl the brewer': 'swirl',
  'stir the bed': 'stir',
  'stir along the wall': 'wall-stir',
  'prick the bed with the needles': 'needle',
};

const CONDITIONS: Record<string, AgitationCondition> = {
  'If the cup asks for it, ': 'cup-asks',
  'If the roast is old, ': 'roast-old',
  'If the bed is uneven, ': 'bed-uneven',
};

/** Brews what the card says and nothing else: a reader who knows no plan. */
function brewedFrom({ before, steps, after }: CardWords): Omit<BrewPlan, 'grindUm'> {
  const all = before.join(' ');
  const pours: Pour[] = [];
  let kettleC = figure(all, /kettle to ([\d.]+) °C/);
  const startC = kettleC;
  let end = { atS: 0, untilS: 0, lifts: false };
  let ballUntilS: number | undefined;
  let lidOpensS: number | undefined;
  for (const { atS, words } of steps) {
    const setAnew = /kettle to ([\d.]+) °C/.exec(words);
    if (setAnew) kettleC = Number(setAnew[1]);
    const amount = /(?:with|[Pp]our) ([\d.]+) g in ([\d.]+) s/.exec(words);
    if (amount) {
      const [amountG, inS] = [Number(amount[1]), Number(amount[2])];
      const isBloom = words.includes('Bloom');
      const height = /from ([\d.]+) cm/.exec(words);
      const pattern = Object.entries(PATTERNS).find(([told]) => words.includes(told))?.[1];
      const level = /stands ([\d.]+) mm over the bed/.exec(words);
      const startsWhen = Object.entries(TRIGGERS).find(([told]) => words.includes(told))?.[1];
      pours.push({
        startS: atS,
        amountG,
        flowGps: amountG / inS,
        agitation: 'none',
        isBloom,
        kettleC,
        ...(startsWhen ? { startsWhen } : {}),
        ...(level ? { levelMm: Number(level[1]) } : {}),
        ...(pattern ? { pattern } : {}),
        ...(height ? { heightCm: Number(height[1]) } : {}),
      });
    }
    const agitating =
      /(swirl the brewer|stir the bed|stir along the wall|prick the bed with the needles)(?: (once|\d+ times))? (gently|hard)\.$/i.exec(
        words,
      );
    const last = pours.at(-1);
    if (agitating && last) {
      const [, doing = '', count, force] = agitating;
      const onlyIf = Object.entries(CONDITIONS).find(([told]) => words.startsWith(told))?.[1];
      const how: AgitationHow = {
        ...(count === undefined ? {} : { times: count === 'once' ? 1 : Number.parseInt(count, 10) }),
        ...(force === 'hard' ? { isHard: true } : {}),
        ...(onlyIf === undefined ? {} : { onlyIf }),
      };
      last.agitation = DOINGS[doing.toLowerCase()] ?? 'none';
      if (Object.keys(how).length > 0) last.agitationHow = how;
    }
    if (words.startsWith('Take the chilled ball')) ballUntilS = atS;
    if (words.includes('open the lid')) lidOpensS = atS;
    if (words.endsWith('done.')) {
      const until = /by (\d+):(\d+) at the latest/.exec(words);
      const untilS = until ? Number(until[1]) * 60 + Number(until[2]) : atS;
      end = { atS, untilS, lifts: words.startsWith('Lift') };
    }
  }
  const bypass = after.join(' ');
  const mixed = /Grind ([\d.]+) g at (\d+) µm and ([\d.]+) g at (\d+) µm, and mix/.exec(all);
  const sieve = /over a sieve of (\d+) µm/.exec(all);
  const [, firstG = 0, , secondG = 0, secondUm = 0] = (mixed ?? []).map(Number);
  const cups = /cups ready and change them ([^.]+)\./.exec(all)?.[1];
  const regulator = /lets ([\d.]+) g a second through/.exec(all);
  return {
    doseG: figure(all, /Put ([\d.]+) g/),
    kettleC: startC,
    pours,
    drawdownS: end.atS,
    ...(end.untilS > end.atS ? { endWithinS: end.untilS - end.atS } : {}),
    ...(end.lifts ? { lifts: true } : {}),
    ...(ballUntilS !== undefined && all.includes('Place the chilled ball') ? { ballUntilS } : {}),
    ...(lidOpensS === undefined ? {} : { lidOpensS }),
    ...(regulator ? { regulatorGps: Number(regulator[1]) } : {}),
    ...(mixed
      ? { secondGrind: { grindUm: secondUm, sharePercent: Math.round((100 * secondG) / (firstG + secondG)) } }
      : {}),
    ...(sieve ? { sieveUm: Number(sieve[1]) } : {}),
    ...(bypass.includes('Add') ? { bypassG: figure(bypass, /Add ([\d.]+) g/) } : {}),
    ...(all.includes('needles through the dry bed') ? { needlesDry: true } : {}),
    ...(all.includes('shower plate') ? { showerPlate: true } : {}),
    ...(cups ? { cups: valueOf(parseCupSchedule(cups)) } : {}),
    ...(bypass.includes('cup of its own') ? { tailApart: true } : {}),
    ...(bypass.includes('Stir the beverage') ? { beverageMixed: 'stir' as const } : {}),
    ...(bypass.includes('Swirl the beverage') ? { beverageMixed: 'swirl' as const } : {}),
    ...(bypass.includes('into another vessel') ? { decants: true } : {}),
  };
}

describe('the words of a card', () => {
  it('brew back into the plan that they came from', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        const read = brewedFrom(cardWords(plan));
        const { pours, grindUm: _, ...rest } = plan;
        expect(read).toMatchObject(rest);
        expect(Object.keys(read).sort()).toEqual([...Object.keys(rest), 'pours'].sort());
        const kettlesC = pourKettlesC(plan);
        expect(read.pours.map(({ flowGps: _flow, ...pour }) => pour)).toEqual(
          pours.map(({ flowGps: _flow, kettleC: _own, ...pour }, index) => ({
            ...pour,
            kettleC: kettlesC[index],
          })),
        );
        // The stream is told by whole seconds.
        for (const [index, pour] of pours.entries()) {
          const told = read.pours[index];
          if (told) expect(Math.abs(pourEndS(told) - pourEndS(pour))).toBeLessThanOrEqual(0.5);
        }
      }),
    );
  });

  it('say what a pour waits for, and that its time is only what to expect', () => {
    const pours = PLAN.pours.map((pour, index) =>
      index === 1 ? { ...pour, startsWhen: 'bed-shows' as const } : pour,
    );
    const { steps } = cardWords({ ...PLAN, pours });
    const waiting = steps.filter(({ isAbout }) => isAbout);
    expect(waiting).toHaveLength(1);
    expect(waiting[0]?.words).toMatch(/^When the bed shows, pour [\d.]+ g/);
    expect(waiting[0]?.atS).toBe(PLAN.pours[1]?.startS);
  });

  it('say when the chilled ball is placed and when it is taken away', () => {
    const { before, steps } = cardWords({ ...PLAN, ballUntilS: 50 });
    expect(before).toContain('Place the chilled ball under the outlet.');
    expect(steps.find(({ words }) => words.includes('ball'))).toEqual({
      atS: 50,
      isAbout: false,
      waits: false,
      words: 'Take the chilled ball away.',
    });
  });

  it('say the kettle that the first pour sets for itself', () => {
    const [first, ...later] = PLAN.pours;
    const plan = { ...PLAN, kettleC: 95, pours: [...(first ? [{ ...first, kettleC: 88 }] : []), ...later] };
    expect(cardWords(plan).before[0]).toBe('Heat the kettle to 88 °C (190 °F).');
    expect(brewedFrom(cardWords(plan)).pours.map(({ kettleC }) => kettleC)).toEqual(pourKettlesC(plan));
  });

  it('say each kettle in both scales', () => {
    const [first, ...later] = PLAN.pours;
    const plan = {
      ...PLAN,
      kettleC: 95,
      pours: [...(first ? [first] : []), ...later.map((pour) => ({ ...pour, kettleC: 90 }))],
    };
    expect(cardWords(plan).before[0]).toBe('Heat the kettle to 95 °C (203 °F).');
    expect(
      cardWords(plan)
        .steps.map(({ words }) => words)
        .join(' '),
    ).toContain('Set the kettle to 90 °C (194 °F).');
  });
});
