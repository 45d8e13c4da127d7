import type { BenchEventKind } from '../bench/benchEvents.js';
import { PREPARATION_TASKS } from '../bench/preparation.js';
import { SERVING_TASKS } from '../bench/serving.js';
import { SCHOOLS } from '../schools/schools.js';
import { CUP_SCHEDULE } from '../plan/cupSchedule.js';
import {
  AGITATION_CONDITIONS,
  AGITATIONS,
  BEVERAGE_MIXINGS,
  MODELLED_AGITATIONS,
  MODELLED_PATTERNS,
  POUR_PATTERNS,
  POUR_TRIGGERS,
} from '../vocabulary.js';
import { byKind, choice, fields, list, nullable, oneOf, optional, type Shape } from './shape.js';

// Shapes that several public functions share.

export const WATER = fields({ hardnessMgPerL: 'number', alkalinityMgPerL: 'number' });

export const GRIND = fields({ d50Um: 'number', sigmaG: optional('number'), finesShare: optional('number') });
const BLEND = fields({
  parts: list(fields({ grind: GRIND, share: 'number' })),
  finesSieved: optional('number'),
});

export const BREWER = fields({
  bottomRadiusM: 'number',
  wallSlope: 'number',
  heightM: 'number',
  outletAreaM2: 'number',
  bottomShare: 'number',
  drainShare: 'number',
  openShare: 'number',
  heatCapacityJPerK: 'number',
  preheatC: 'number',
});

export const KIT = fields({
  brewer: BREWER,
  paperPerM: 'number',
  ambientC: 'number',
  elevationM: 'number',
});

const POUR = {
  startS: 'number',
  amountG: 'number',
  flowGps: 'number',
  kettleC: optional('number'),
} as const;

export const PLAN = fields({
  doseG: 'number',
  kettleC: 'number',
  grindUm: 'number',
  secondGrind: optional(fields({ grindUm: 'number', sharePercent: 'number' })),
  sieveUm: optional('number'),
  drawdownS: 'number',
  pours: list(
    fields({
      ...POUR,
      agitation: choice(AGITATIONS),
      agitationHow: optional(
        fields({
          times: optional('number'),
          isHard: optional('yes or no'),
          onlyIf: optional(choice(AGITATION_CONDITIONS)),
        }),
      ),
      isBloom: 'yes or no',
      pattern: optional(choice(POUR_PATTERNS)),
      heightCm: optional('number'),
      startsWhen: optional(choice(POUR_TRIGGERS)),
      levelMm: optional('number'),
    }),
  ),
  endWithinS: optional('number'),
  lifts: optional('yes or no'),
  tailApart: optional('yes or no'),
  cups: optional(CUP_SCHEDULE),
  bypassG: optional('number'),
  beverageMixed: optional(choice(BEVERAGE_MIXINGS)),
  decants: optional('yes or no'),
  showerPlate: optional('yes or no'),
  needlesDry: optional('yes or no'),
  ballUntilS: optional('number'),
  lidOpensS: optional('number'),
  regulatorGps: optional('number'),
});

const CONDITION_FIELDS = {
  doseG: 'number',
  grind: oneOf(BLEND, GRIND),
  kettleC: 'number',
  pours: list(fields({ ...POUR, fallM: optional('number'), pattern: optional(choice(MODELLED_PATTERNS)) })),
  agitation: list(fields({ atS: 'number', kind: choice(MODELLED_AGITATIONS) })),
  brewer: BREWER,
  paperPerM: 'number',
  ambientC: 'number',
  elevationM: 'number',
  roastAgeDays: optional('number'),
  regulatorGps: optional('number'),
  liftAtS: optional('number'),
  bypassG: optional('number'),
  chilledBall: optional(
    fields({ massG: 'number', heatJPerKgK: 'number', startC: 'number', untilS: 'number' }),
  ),
} as const;
/** A brew but for its lot, and with it. */
export const CONDITIONS = fields(CONDITION_FIELDS);
export const BREW = fields({
  ...CONDITION_FIELDS,
  lot: fields({
    solubility: 'number',
    rate: 'number',
    permeability: 'number',
    clogging: 'number',
    retained: 'number',
    co2MgPerG: 'number',
    ageDays: 'number',
  }),
  stepS: optional('number'),
  longestS: optional('number'),
});

export const FACTORS = fields({
  solubility: 'number',
  rate: 'number',
  flow: 'number',
  retained: 'number',
  steepness: 'number',
});

export const TRACE_POINTS = list(fields({ atS: 'number', beverageG: 'number' }));

export const MEASURED_BREW = fields({
  brew: CONDITIONS,
  drawdownS: nullable('number'),
  tdsPercent: nullable('number'),
  beverageG: nullable('number'),
  standard: optional(
    fields({ drawdownS: optional('number'), tdsPercent: optional('number'), beverageG: optional('number') }),
  ),
  trace: optional(TRACE_POINTS),
  otherKit: optional('text'),
});

export const PRIOR = fields({
  lnMean: list('number'),
  lnCovariance: list(list('number')),
  lnShift: list('number'),
});

/** As `calibrateLot` made it. */
export const CALIBRATION = fields({
  factors: FACTORS,
  lnCovariance: list(list('number')),
  prior: PRIOR,
  papers: list(fields({ paperPerM: 'number' })),
  brews: list(MEASURED_BREW),
  misses: list(fields({ brewIndex: 'number', value: 'number', variance: 'number', miss: 'number' })),
});

export const FRACTIONS = list(
  fields({
    startS: 'number',
    endS: 'number',
    beverageG: 'number',
    tdsPercent: nullable('number'),
    wanted: optional(nullable('yes or no')),
  }),
);

export const STEPS_DONE = list(
  fields({ stepIndex: 'number', atS: 'number', skipped: 'yes or no', totalG: nullable('number') }),
);

const TIMED = { atS: 'number' } as const;
/** What a forecast hears of an event: what was done to the bed, how hot the water was, and of all else its time. */
export const EVENTS = list(
  byKind({
    agitated: { ...TIMED, how: choice(['swirl', 'stir']) },
    'kettle-read': { ...TIMED, kettleC: 'number' },
    'not-prepared': { ...TIMED, task: choice(PREPARATION_TASKS) },
    'fines-weighed': { ...TIMED, finesG: 'number' },
    'not-served': { ...TIMED, serving: choice(SERVING_TASKS) },
    'cup-changed': TIMED,
    'first-drip': TIMED,
    'bed-shows': TIMED,
    'water-stands': TIMED,
    'totals-moved': TIMED,
    'scale-lost': TIMED,
    'scale-back': TIMED,
    'clock-off': TIMED,
  } satisfies Record<BenchEventKind, Record<string, Shape>>),
);

export const LIMITS = fields({
  finestUm: 'number',
  coarsestUm: 'number',
  hottestC: 'number',
  coolestC: 'number',
});

const WINDOW = optional(fields({ low: 'number', high: 'number' }));
export const TARGETS = fields({ tdsPercent: WINDOW, yieldPercent: WINDOW, drawdownS: WINDOW });

export const LAST_BREW = fields({
  tdsPercent: nullable('number'),
  yieldPercent: nullable('number'),
  drawdownS: nullable('number'),
  uncertainty: fields({ tdsPercent: 'number', yieldPercent: 'number', drawdownS: 'number' }),
});

export const SCHOOLS_TAKEN = fields(
  Object.fromEntries(Object.entries(SCHOOLS).map(([point, stands]) => [point, choice(stands)])),
);

export const CURVE = fields({
  points: list(fields({ setting: 'number', grindUm: 'number', sdUm: 'number' })),
});
