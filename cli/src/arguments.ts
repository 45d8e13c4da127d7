import { parseArgs } from 'node:util';
import { CommandFailure } from './report.js';

const SUITES = ['checks', 'unit', 'integration', 'e2e'] as const;
export type Suite = (typeof SUITES)[number];

const MEASURES = [
  'speed',
  'accuracy',
  'facts',
  'tasks',
  'days',
  'blind',
  'warnings',
  'starts',
  'practice',
  'second',
  'brews',
  'split',
  'ablation',
  'many',
  'house',
] as const;
export type Measure = (typeof MEASURES)[number];

const TRUST_PARTS = [
  'doors',
  'races',
  'fuzz',
  'feed',
  'migrations',
  'carry',
  'phones',
  'faults',
  'disk',
  'cluster',
  'load',
  'dial-in',
  'proposals',
] as const;
export type TrustPart = (typeof TRUST_PARTS)[number];

const MUTATED = [
  'brewLog',
  'changeLife',
  'fractions',
  'taught',
  'bench',
  'plan',
  'extraction',
  'change',
  'startingRecipe',
  'calibration',
  'tasting',
] as const;
export type MutatedFolder = (typeof MUTATED)[number];

export type Command =
  | { name: 'demo'; port: number; reset: boolean; opensToPhones: boolean }
  | { name: 'serve'; port: number | null; opensToPhones: boolean; config: string | null; workers: number }
  | { name: 'cluster'; port: number; workers: number }
  | { name: 'dev'; port: number }
  | { name: 'test'; suites: readonly Suite[] }
  | { name: 'bench'; measures: readonly Measure[] }
  | { name: 'kill'; kills: number }
  | { name: 'trust'; parts: readonly TrustPart[] }
  | { name: 'mutate'; folders: readonly MutatedFolder[]; byOwnTests: boolean }
  | { name: 'backup'; isDemo: boolean; folder: string | null; keep: number }
  | { name: 'restore'; isDemo: boolean; file: string }
  | { name: 'build' }
  | { name: 'stop' }
  | { name: 'help' };

export const DEFAULT_PORT = 4600;
const DEFAULT_KILLS = 50;
/** More than one a core gain nothing. */
const MOST_WORKERS = 16;
/** Two weeks of one a night. */
const DEFAULT_KEPT = 14;

/** @throws CommandFailure on a command or an option that does not exist */
export function readCommand(words: readonly string[]): Command {
  const [name = 'help', ...rest] = words;
  switch (name) {
    case 'demo': {
      const { values } = parse(rest, {
        port: { type: 'string' },
        reset: { type: 'boolean' },
        phones: { type: 'boolean' },
      });
      return {
        name,
        port: portOf(values['port']),
        reset: values['reset'] === true,
        opensToPhones: values['phones'] === true,
      };
    }
    case 'serve': {
      const { values } = parse(rest, {
        port: { type: 'string' },
        phones: { type: 'boolean' },
        config: { type: 'string' },
        workers: { type: 'string' },
      });
      const { port, phones, config, workers } = values;
      return {
        name,
        port: port === undefined ? null : portOf(port),
        opensToPhones: phones === true,
        config: typeof config === 'string' ? config : null,
        workers: workersOf(workers, 1),
      };
    }
    case 'cluster': {
      const { values } = parse(rest, { port: { type: 'string' }, workers: { type: 'string' } });
      return { name, port: portOf(values['port']), workers: workersOf(values['workers'], 2) };
    }
    case 'dev': {
      const { values } = parse(rest, { port: { type: 'string' } });
      return { name, port: portOf(values['port']) };
    }
    case 'test': {
      const { positionals } = parse(rest, {});
      return { name, suites: oneOf(SUITES, 'suite', positionals) };
    }
    case 'bench': {
      const { positionals } = parse(rest, {});
      return { name, measures: oneOf(MEASURES, 'measure', positionals) };
    }
    case 'kill': {
      const { values } = parse(rest, { kills: { type: 'string' } });
      const kills = wholeNumber(values['kills'], {
        option: 'kills',
        usual: DEFAULT_KILLS,
        least: 1,
        most: 1000,
      });
      return { name, kills };
    }
    case 'trust': {
      const { positionals } = parse(rest, {});
      return { name, parts: oneOf(TRUST_PARTS, 'part', positionals) };
    }
    case 'mutate': {
      const { positionals, values } = parse(rest, { own: { type: 'boolean' } });
      return { name, folders: oneOf(MUTATED, 'folder', positionals), byOwnTests: values.own === true };
    }
    case 'backup': {
      const { values } = parse(rest, {
        to: { type: 'string' },
        keep: { type: 'string' },
        demo: { type: 'boolean' },
      });
      const { to, keep, demo } = values;
      return {
        name,
        isDemo: demo === true,
        folder: typeof to === 'string' ? to : null,
        keep: wholeNumber(keep, { option: 'keep', usual: DEFAULT_KEPT, least: 1, most: 1000 }),
      };
    }
    case 'restore': {
      const { values, positionals } = parse(rest, { demo: { type: 'boolean' } });
      const [file, ...others] = positionals;
      if (file === undefined || others.length > 0)
        throw new CommandFailure('Name one file to restore, as ./vendu backup wrote it.');
      return { name, isDemo: values['demo'] === true, file };
    }
    case 'build':
    case 'stop':
      parse(rest, {});
      return { name };
    case 'help':
    case '--help':
    case '-h':
      return { name: 'help' };
    default:
      throw new CommandFailure(`There is no command “${name}”. ./vendu help lists them.`);
  }
}

function parse(args: string[], options: Record<string, { type: 'string' | 'boolean' }>) {
  try {
    return parseArgs({ args, options, allowPositionals: true });
  } catch (error) {
    throw new CommandFailure(
      `${error instanceof Error ? error.message : String(error)}. ./vendu help lists what there is.`,
    );
  }
}

function portOf(text: string | boolean | undefined): number {
  return wholeNumber(text, { option: 'port', usual: DEFAULT_PORT, least: 1024, most: 65_535 });
}

function workersOf(text: string | boolean | undefined, usual: number): number {
  return wholeNumber(text, { option: 'workers', usual, least: 1, most: MOST_WORKERS });
}

function wholeNumber(
  text: string | boolean | undefined,
  { option, usual, least, most }: { option: string; usual: number; least: number; most: number },
): number {
  if (text === undefined) return usual;
  const given = Number(text);
  if (!Number.isInteger(given) || given < least || given > most) {
    throw new CommandFailure(
      `--${option} must be a whole number from ${least} to ${most}, not “${String(text)}”.`,
    );
  }
  return given;
}

/** The words asked for, all there are when none was. */
function oneOf<W extends string>(all: readonly W[], what: string, asked: readonly string[]): readonly W[] {
  if (asked.length === 0) return all;
  return asked.map((word) => {
    const known = all.find((each) => each === word);
    if (!known) throw new CommandFailure(`There is no ${what} “${word}”; there are ${all.join(', ')}.`);
    return known;
  });
}
