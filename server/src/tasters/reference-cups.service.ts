import { Injectable } from '@nestjs/common';
import { referenceRecords } from '@vendu/core';
import type { ReferenceCupsView, ReferenceTrialDto } from '@vendu/contract';
import type { PersonModel } from '../people/person.model.js';
import type { RequestKeyOf } from '../writing/request-key.js';
import { Writing } from '../writing/writing.js';
import { ReferenceTrialModel } from './reference-trial.model.js';

/** Cups with a known difference, for one's own tongue. */
@Injectable()
export class ReferenceCupsService {
  constructor(private readonly writing: Writing) {}

  async of({ id }: PersonModel): Promise<ReferenceCupsView> {
    const rows = await ReferenceTrialModel.findAll({ where: { personId: id }, order: ['id'] });
    return { records: referenceRecords(rows) };
  }

  async add(
    { kind, differencePercent, isRight }: ReferenceTrialDto,
    person: PersonModel,
    request: RequestKeyOf | null,
  ): Promise<ReferenceCupsView> {
    await this.writing.once(request, async () => {
      const { id } = await ReferenceTrialModel.create({
        personId: person.id,
        kind,
        differencePercent: kind === 'strength' ? differencePercent : null,
        isRight,
      });
      return id;
    });
    return this.of(person);
  }
}
