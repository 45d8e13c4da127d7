import { calibrateLot, FACTORS, valueOf, type LearnedFactors } from '@vendu/core';
import { fixed, table } from '../report.js';
import { brewByHand } from '../truths/hand.js';
import { TRUTHS } from './brewsToTarget.js';
import { handOf, LOTS_A_LAB, taskOf } from './task.js';
import type { TruthName } from '../truths/truth.js';

const LABS = 20;
/** Each lot is brewed at these sizes beside its starting one, which shows all that a few brews can. */
const BY_UM = [-80, 0, 80];

/**
 * What a house's earlier lots can teach of the next: how much of the spread of each learned factor the lots of one
 * laboratory have in common.
 *
 * Source: one-way analysis of variance, the intraclass correlation (Fisher; textbook, from memory).
 */
export function houseShare(): string {
  return [
    '## What earlier lots can teach',
    '',
    `${LABS} labs with ${LOTS_A_LAB} lots each, three brews of each lot: spread of what is learned of a factor (its logarithm), and the share of it that the lots of one laboratory have in common. Where that is small the house's earlier lots say nothing of the next one.`,
    '',
    table(
      ['truth', ...FACTORS],
      TRUTHS.map(({ truth, title }) => {
        const learned = Array.from({ length: LABS }, (_, lab) => lotsOf(truth, lab));
        return [
          title,
          ...FACTORS.map((factor) => {
            const { sd, inCommon } = shareInCommon(learned.map((lots) => lots.map((lot) => lot[factor])));
            return `${fixed(sd, 2)}, ${fixed(inCommon * 100, 0)} %`;
          }),
        ];
      }),
    ),
  ].join('\n');
}

function lotsOf(truth: TruthName, lab: number): Record<keyof LearnedFactors, number>[] {
  return Array.from({ length: LOTS_A_LAB }, (_, index) => {
    const task = taskOf(truth, lab * LOTS_A_LAB + index);
    const random = handOf(task.seed);
    const brews = BY_UM.map((byUm) =>
      brewByHand(task.lot, { ...task.start, grindUm: task.start.grindUm + byUm }, random),
    );
    const { factors } = valueOf(calibrateLot({ brews: brews.map((brew) => ({ ...brew, trace: [] })) }));
    return Object.fromEntries(FACTORS.map((factor) => [factor, Math.log(factors[factor])])) as Record<
      keyof LearnedFactors,
      number
    >;
  });
}

function shareInCommon(groups: readonly (readonly number[])[]): { sd: number; inCommon: number } {
  const all = groups.flat();
  const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / list.length;
  const squares = (list: readonly number[], about: number) =>
    list.reduce((sum, each) => sum + (each - about) ** 2, 0);
  const size = all.length / groups.length;
  const between =
    (size *
      squares(
        groups.map((group) => mean(group)),
        mean(all),
      )) /
    (groups.length - 1);
  const within =
    groups.reduce((sum, group) => sum + squares(group, mean(group)), 0) / (all.length - groups.length);
  const inCommon = (between - within) / (between + (size - 1) * within);
  return { sd: Math.sqrt(squares(all, mean(all)) / (all.length - 1)), inCommon: Math.max(0, inCommon) };
}
