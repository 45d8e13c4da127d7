import { randomBytes, randomInt } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { addHours } from 'date-fns';
import { Sequelize } from 'sequelize-typescript';
import { BLIND_ARMS, foundByLooks, serveBlind } from '@vendu/core';
import type { NewBlindTestDto, PouringView } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import { invalidField, notFound, ProblemError } from '../problem/problem-error.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { inTransaction } from '../writing/transactions.js';
import { Writing } from '../writing/writing.js';
import { BlindAnswerModel } from './blind-answer.model.js';
import { BlindPlaceModel, pathOfPlace } from './blind-place.model.js';
import { BlindTestModel, isOver } from './blind-test.model.js';
import { openedAt, shortResult } from './blind-views.js';
import { ComparisonArmModel } from './comparison-arm.model.js';
import { held } from './comparisons.service.js';

const SECRET_BYTES = 16;
/** Fine enough for any shuffling. */
const RANDOM_STEPS = 2 ** 40;

/** Coded cups: laid out, poured, looked at and opened. */
@Injectable()
export class BlindTestsService {
  constructor(
    private readonly sequelize: Sequelize,
    private readonly writing: Writing,
  ) {}

  /** @returns the comparison it belongs to */
  async make(
    comparisonId: number,
    { alphaPercent, hours, tasters, arms, ...told }: NewBlindTestDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<void> {
    const { fewest, most } = BLIND_ARMS[told.method];
    if (arms.length < fewest || arms.length > most) {
      const span = fewest === most ? `${fewest} arms` : `${fewest} to ${most} arms`;
      throw invalidField({ field: 'arms', message: `This kind of test takes ${span}.`, allowed: span });
    }
    await this.writing.once(request, async () => {
      await held(comparisonId);
      const known = await ComparisonArmModel.count({ where: { comparisonId } });
      if (arms.some((arm) => arm >= known)) {
        throw invalidField({ field: 'arms', message: 'There is no such arm in this comparison.' });
      }
      const test = await BlindTestModel.create({
        ...told,
        comparisonId,
        asksFor: told.asksFor.trim(),
        arms: [...arms].sort((a, b) => a - b),
        alpha: alphaPercent / 100,
        madeBy: person.id,
        endsAt: addHours(new Date(), hours),
        pouredBy: [],
        looks: [],
      });
      const sets = serveBlind({
        method: told.method,
        arms: arms.length,
        tasters,
        random: () => randomInt(RANDOM_STEPS) / RANDOM_STEPS,
      });
      await BlindPlaceModel.bulkCreate(
        sets.map((cups, index) => ({
          blindTestId: test.id,
          number: index + 1,
          cups,
          secret: randomBytes(SECRET_BYTES).toString('base64url'),
        })),
      );
      return test.id;
    });
  }

  /** Which coffee goes into which cup. Whoever asks knows it from then on, and is named. */
  pour(id: number, person: PersonModel): Promise<PouringView> {
    return this.inTurn(id, async (test) => {
      if (!test.pouredBy.includes(person.name)) {
        await test.update({ pouredBy: [...test.pouredBy, person.name] });
      }
      const places = await BlindPlaceModel.findAll({ where: { blindTestId: id }, order: ['number'] });
      return {
        sets: places.map(({ number, cups }) => ({
          number,
          cups: cups.map((cup) => ({ ...cup, arm: test.arms[cup.arm] ?? cup.arm })),
        })),
      };
    });
  }

  async pathOf(id: number, number: number): Promise<string> {
    const place = await BlindPlaceModel.findOne({ where: { blindTestId: id, number } });
    if (!place) throw notFound('place');
    return pathOfPlace(place.secret);
  }

  /** Whether what has come is enough already. The counts stay closed, and the look is paid for. */
  look(id: number, person: PersonModel): Promise<number> {
    return this.inTurn(id, async (test) => {
      const [stage, ...more] = test.stages;
      if (stage === undefined || more.length > 0 || test.method === 'ranking' || test.method === 'scores') {
        throw new ProblemError(
          'conflict',
          'Only a triangle, a duo-trio or a preference at one stage can be looked at early.',
        );
      }
      if (isOver(test)) throw new ProblemError('conflict', 'This test has ended; open it.');
      const places = await placesOf(id);
      const opened = openedAt(Object.assign(test, { places }), stage);
      const looksAt = test.looks.map(({ answers }) => answers);
      if (opened.length === 0 || looksAt.includes(opened.length)) {
        throw new ProblemError('conflict', 'Nobody has answered since the last look.');
      }
      const isEnough =
        foundByLooks(test.method, test.alpha, opened, { planned: places.length, looksAt }) ?? false;
      const look = { at: new Date().toISOString(), by: person.name, answers: opened.length, isEnough };
      await test.update({ looks: [...test.looks, look] });
      return test.comparisonId;
    });
  }

  /** Takes no more answers. */
  end(id: number): Promise<number> {
    return this.inTurn(id, async (test) => {
      if (test.endedAt === null) await test.update({ endedAt: new Date() });
      return test.comparisonId;
    });
  }

  /** Shows key and answers, for good: nobody can answer any more. */
  open(id: number, person: PersonModel): Promise<number> {
    return this.inTurn(id, async (test) => {
      if (test.openedAt === null) {
        const now = new Date();
        const places = await placesOf(id);
        await test.update({
          openedAt: now,
          openedBy: person.id,
          endedAt: test.endedAt ?? now,
          ...shortResult(Object.assign(test, { places })),
        });
      }
      return test.comparisonId;
    });
  }

  private inTurn<T>(id: number, work: (test: BlindTestModel) => Promise<T>): Promise<T> {
    return inTransaction(this.sequelize, async () => {
      const test = await BlindTestModel.findByPk(id, { lock: true });
      if (!test) throw notFound('blind test');
      return work(test);
    });
  }
}

const placesOf = (blindTestId: number) =>
  BlindPlaceModel.findAll({ where: { blindTestId }, include: [BlindAnswerModel] });
