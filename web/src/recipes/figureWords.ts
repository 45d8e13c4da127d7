import { formatDuration, type Figure } from '@vendu/core';

interface Words {
  name: string;
  print: (value: number) => string;
  /** Shown only where something moved it. */
  isQuiet?: boolean;
}

const yesNo = (value: number) => (value > 0 ? 'yes' : 'no');

export const FIGURE_WORDS: Record<Figure, Words> = {
  ratio: { name: 'Ratio', print: (value) => `1:${value}` },
  kettleC: { name: 'Kettle', print: (value) => `${value} °C` },
  grindUm: { name: 'Grind', print: (value) => `${value} µm` },
  bloomed: { name: 'Bloom at all', print: yesNo, isQuiet: true },
  bloomMultiple: { name: 'Bloom', print: (value) => `${value}x dose` },
  bloomS: { name: 'Bloom time', print: formatDuration },
  mainPours: { name: 'Pours after the bloom', print: String },
  bloomSwirls: { name: 'Swirl after the bloom', print: yesNo },
  drawdownS: { name: 'Drain time', print: formatDuration },
  flowGps: { name: 'Stream', print: (value) => `${value} g/s`, isQuiet: true },
  pouredByPercent: { name: 'Poured by', print: (value) => `${value} %`, isQuiet: true },
  lifted: { name: 'Lift the brewer', print: yesNo, isQuiet: true },
  bypassPercent: { name: 'Bypass', print: (value) => `${value} %`, isQuiet: true },
};

export const LIMIT_WORDS = {
  'usual-span': 'held at the end of the usual span',
  'kettle-step': 'held at a step of the kettle’s thermostat',
  aim: 'held inside the strength aimed at',
  'boiling-point': 'held at the boiling point of the lab’s elevation',
};

export function signed(value: number): string {
  return `${value > 0 ? '+' : '−'}${Math.abs(value)}`;
}
