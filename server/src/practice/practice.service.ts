import { Injectable } from '@nestjs/common';
import { UniqueConstraintError } from 'sequelize';
import { scorePractice } from '@vendu/core';
import type { PracticeDto, PracticeView } from '@vendu/contract';
import { PersonModel } from '../people/person.model.js';
import { invalidField } from '../problem/problem-error.js';
import { plainPlan } from '../recipes/plan-refusals.js';
import { PracticeRunModel } from './practice-run.model.js';

/** As many as a chart of progress shows. */
const LATEST = 200;

@Injectable()
export class PracticeService {
  /** The latest runs of everybody in the lab, newest first. */
  async latest(person: PersonModel): Promise<PracticeView[]> {
    const rows = await PracticeRunModel.findAll({
      include: [PersonModel],
      order: [['id', 'DESC']],
      limit: LATEST,
    });
    return rows.map((row) => ({
      id: row.id,
      exercise: row.exercise,
      score: row.score,
      by: row.person.name,
      isOwn: row.personId === person.id,
      at: row.createdAt.toISOString(),
    }));
  }

  /** Scores a run and keeps it, once per key. */
  async put(
    clientKey: string,
    { exercise, plan, trace }: PracticeDto,
    person: PersonModel,
  ): Promise<PracticeView[]> {
    const score = scorePractice({ plan, trace });
    if (!score.ok) {
      throw invalidField({ field: 'field' in score ? score.field : 'trace', message: score.message });
    }
    try {
      await PracticeRunModel.create({
        clientKey,
        exercise,
        plan: plainPlan(plan),
        score: score.value,
        personId: person.id,
      });
    } catch (error) {
      if (!(error instanceof UniqueConstraintError)) throw error;
    }
    return this.latest(person);
  }
}
