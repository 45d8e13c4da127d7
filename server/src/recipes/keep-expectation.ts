import { instanceToPlain } from 'class-transformer';
import type { Expectation } from '@vendu/core';
import type { ExpectationDto } from '@vendu/contract';
import { ChangeModel } from './change.model.js';

/** Writes down what the change that made a version is to do, before anybody has brewed it. */
export async function keepExpectation(
  lotId: number,
  recipeVersionId: number,
  given: Expectation | ExpectationDto,
): Promise<void> {
  const expectation = instanceToPlain(given) as Expectation;
  const { source } = expectation;
  await ChangeModel.create({
    lotId,
    recipeVersionId,
    expectation,
    ruleId: source.kind === 'rule' ? source.id : null,
    isOwn: source.kind === 'own',
  });
}
