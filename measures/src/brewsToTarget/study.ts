import { calibrateLot, conditionsOfPlan, lotPrior, valueOf, type EarlierLot } from '@vendu/core';
import { STRATEGIES } from './strategies.js';
import { handOf, isThere, taskOf, type Setting } from './task.js';
import { brewByHand, syntheticLab } from './truth.js';

const MOST_BREWS = 8;
const [setting = 'grind', fromText = '0', toText = '60', names = '', learns = ''] = process.argv.slice(2);
const chosen = names === '' ? Object.keys(STRATEGIES) : names.split(',');
for (const name of chosen) {
  const strategy = STRATEGIES[name];
  if (!strategy) continue;
  const brews: number[] = [];
  let earlier: (Omit<EarlierLot, 'likeness'> & { shape: string })[] = [];
  const missed: {
    after: number;
    t: number;
    tds: number;
    ey: number;
    inT: boolean;
    inTds: boolean;
    inEy: boolean;
  }[] = [];
  const a = performance.now();
  for (let seed = Number(fromText); seed < Number(toText); seed++) {
    const labSeed = Math.floor(seed / 10);
    if (seed % 10 === 0) earlier = [];
    const task = taskOf(syntheticLab(labSeed), seed, setting as Setting);
    const prior = lotPrior({
      earlierLots:
        learns === 'house'
          ? earlier.map((e) => ({ ...e, likeness: e.shape === task.lot.shape ? 1 : 0.5 }))
          : [],
    });
    const random = handOf(seed);
    const history = { plans: [task.start], measured: [brewByHand(task.lot, task.start, random)], prior };
    let count = MOST_BREWS + 1;
    for (let brew = 2; brew <= MOST_BREWS; brew++) {
      const next = strategy(task, history);
      if (next.forecast) {
        const real = task.lot.trueBrew(conditionsOfPlan({ plan: next.plan, kit: task.lot.kit }));
        const f = next.forecast;
        missed.push({
          after: brew - 1,
          t: real.drawdownS - f.drawdownS.value,
          tds: real.tdsPercent - f.tdsPercent.value,
          ey: real.yieldPercent - f.yieldPercent.value,
          inT: real.drawdownS > f.drawdownS.low && real.drawdownS < f.drawdownS.high,
          inTds: real.tdsPercent > f.tdsPercent.low && real.tdsPercent < f.tdsPercent.high,
          inEy: real.yieldPercent > f.yieldPercent.low && real.yieldPercent < f.yieldPercent.high,
        });
      }
      history.plans.push(next.plan);
      history.measured.push(brewByHand(task.lot, next.plan, random));
      if (isThere(task, next.plan)) {
        count = brew;
        break;
      }
    }
    const known = valueOf(calibrateLot({ brews: history.measured }));
    earlier.push({ evidence: known.evidence, shape: task.lot.shape });
    if (process.env['SHOW'] && seed % 10 === 9)
      console.log(
        labSeed,
        syntheticLab(labSeed).particlesFrom.name,
        prior.lnMean.map((x) => x.toFixed(2)).join(' '),
        prior.lnCovariance.map((r, i) => Math.sqrt(r[i] ?? 0).toFixed(2)).join(' '),
      );
    brews.push(count);
  }
  const share = (n: number) => ((brews.filter((b) => b <= n).length / brews.length) * 100).toFixed(0);
  const sorted = [...brews].sort((x, y) => x - y);
  console.log(
    name.padEnd(15),
    'median',
    sorted[Math.ceil(brews.length * 0.5) - 1],
    'p90',
    sorted[Math.ceil(brews.length * 0.9) - 1],
    [2, 3, 4, 5, 6].map(share).join('/'),
    `${((performance.now() - a) / brews.length).toFixed(0)} ms a lot`,
  );
  for (const after of [1, 2, 3]) {
    const of = missed.filter((m) => m.after === after);
    if (of.length === 0) continue;
    const rms = (f: (m: (typeof of)[number]) => number) =>
      Math.sqrt(of.reduce((s, m) => s + f(m) ** 2, 0) / of.length);
    const cov = (f: (m: (typeof of)[number]) => boolean) =>
      ((of.filter(f).length / of.length) * 100).toFixed(0);
    console.log(
      '   after',
      after,
      'n',
      of.length,
      'rms',
      rms((m) => m.t).toFixed(1),
      rms((m) => m.tds).toFixed(3),
      rms((m) => m.ey).toFixed(2),
      'bands',
      cov((m) => m.inT),
      cov((m) => m.inTds),
      cov((m) => m.inEy),
    );
  }
}
