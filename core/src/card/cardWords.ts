import { benchSteps, callsFor, type BenchStep } from '../bench/benchSteps.js';
import { servingOf, type Serving } from '../bench/serving.js';
import { cupScheduleWords } from '../plan/cupSchedule.js';
import { grindingOf } from '../plan/grinding.js';
import { pourKettlesC, type BrewPlan } from '../plan/plan.js';
import { formatDuration } from '../quantity/duration.js';
import { celsiusToFahrenheit } from '../temperature/scales.js';
import type { Agitating } from '../vocabulary.js';

/** One step of a card: when it is due, and what it says. */
export interface CardStep {
  atS: number;
  /** The time is what to expect: the step waits for something that is seen. */
  isAbout: boolean;
  /** It is not done before that is seen, whatever the clock says; an agitation that is left open is about too, and holds up nothing. */
  waits: boolean;
  words: string;
}

/** A recipe in the words of its card: from the plan alone, so that the two cannot differ. */
export interface CardWords {
  /** Before the clock, in the order of doing. */
  before: string[];
  steps: CardStep[];
  /** Once the stream has ended. */
  after: string[];
}

const AGITATING: Record<Agitating, string> = {
  swirl: 'swirl the brewer',
  stir: 'stir the bed',
  'wall-stir': 'stir along the wall',
  needle: 'prick the bed with the needles',
};

/** The plan as a customer reads it; every figure that its brew turns on is said, temperatures in both scales. */
export function cardWords(plan: BrewPlan): CardWords {
  const { doseG, ballUntilS, regulatorGps } = plan;
  return {
    before: [
      `Heat the kettle to ${bothScales(firstKettleC(plan))}.`,
      'Rinse the paper and throw the rinse water away.',
      ...grindingSentences(plan),
      `Put ${doseG} g of ground coffee into the paper and shake the bed flat.`,
      ...(plan.needlesDry ? ['Lead the needles through the dry bed once around.'] : []),
      ...(ballUntilS === undefined ? [] : ['Place the chilled ball under the outlet.']),
      ...(regulatorGps === undefined
        ? []
        : [
            `Put the flow regulator on the brewer: it lets ${regulatorGps} g a second through. All water goes into it.`,
          ]),
      ...(plan.showerPlate ? ['Lay the shower plate on the brewer and pour through it.'] : []),
      ...(plan.cups === undefined
        ? []
        : [`Stand a row of cups ready and change them ${cupScheduleWords(plan.cups)}.`]),
      'Set the scale to zero.',
    ],
    steps: benchSteps(plan).map((step) => ({
      atS: step.plannedS,
      isAbout: callsFor(step) !== null,
      waits: step.kind === 'pour' && step.waitsFor !== null,
      words: stepSentence(step),
    })),
    after: servingOf(plan).map(servingSentence),
  };
}

/** Nothing is said of a single grind: it stands among the figures. */
function grindingSentences(plan: BrewPlan): string[] {
  const { secondGrind, sieveUm } = plan;
  const { parts, toGrindG, finesG } = grindingOf(plan);
  return [
    ...(secondGrind === undefined
      ? []
      : [
          `Grind ${parts.map(({ toGrindG: ofItG, grindUm }) => `${ofItG} g at ${grindUm} µm`).join(' and ')}, and mix them.`,
        ]),
    ...(sieveUm === undefined
      ? []
      : [
          `${secondGrind === undefined ? `Grind ${toGrindG} g at ${plan.grindUm} µm and shake it` : 'Shake the mix'} over a sieve of ${sieveUm} µm: about ${finesG} g of fines go. Do not breathe the dust.`,
        ]),
  ];
}

/** What the kettle is at first, C: a first pour may have its own. */
export function firstKettleC(plan: BrewPlan): number {
  return pourKettlesC(plan)[0] ?? plan.kettleC;
}

/** A step as the card says it. */
export function stepSentence(step: BenchStep): string {
  switch (step.kind) {
    case 'pour':
      return [
        ...(step.newKettleC === null ? [] : [`Set the kettle to ${bothScales(step.newKettleC)}.`]),
        step.isBloom
          ? `Bloom: wet all grounds with ${step.amountG} g in ${pourSeconds(step)} s${asPoured(step)}.`
          : `${step.waitsFor === null ? 'Pour' : `${capital(step.waitsFor)}, pour`} ${step.amountG} g in ${pourSeconds(step)} s${asPoured(step)}, to ${step.totalG} g on the scale.`,
      ].join(' ');
    case 'agitate':
      return agitatingSentence(step);
    case 'open-lid':
      return 'Take the kettle off its heat and open the lid: it cools from here.';
    case 'remove-ball':
      return 'Take the chilled ball away.';
    case 'drawdown':
      return endSentence(step);
  }
}

function servingSentence(serving: Serving): string {
  switch (serving.task) {
    case 'tail':
      return 'Stand the brewer on a cup of its own: what still runs out is not part of the beverage.';
    case 'bypass':
      return `Add ${serving.bypassG} g of hot water to the cup.`;
    case 'mix':
      return serving.how === 'stir' ? 'Stir the beverage.' : 'Swirl the beverage.';
    case 'decant':
      return 'Pour it over into another vessel before serving.';
  }
}

function agitatingSentence({ how, times, isHard, onlyIf }: Extract<BenchStep, { kind: 'agitate' }>): string {
  const doing = [
    AGITATING[how],
    ...(times === null ? [] : [times === 1 ? 'once' : `${times} times`]),
    isHard ? 'hard' : 'gently',
  ].join(' ');
  return `${onlyIf === null ? capital(doing) : `${capital(onlyIf)}, ${doing}`}.`;
}

function endSentence({ lifts, plannedS, untilS }: Extract<BenchStep, { kind: 'drawdown' }>): string {
  const by = untilS === plannedS ? '' : `, by ${formatDuration(untilS)} at the latest`;
  return lifts ? `Lift the brewer off${by}: done.` : `The stream turns to drops${by}: done.`;
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function asPoured({ pouring }: Extract<BenchStep, { kind: 'pour' }>): string {
  return pouring === null ? '' : `, ${pouring}`;
}

function pourSeconds({ plannedS, endS }: Extract<BenchStep, { kind: 'pour' }>): number {
  return Math.max(1, Math.round(endS - plannedS));
}

function bothScales(temperatureC: number): string {
  return `${temperatureC} °C (${Math.round(celsiusToFahrenheit({ temperatureC }))} °F)`;
}
