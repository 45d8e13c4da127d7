import type { Model, ModelStatic } from 'sequelize';
import { KettleModel } from '../kit/kettle.model.js';
import { PaperModel } from '../kit/paper.model.js';
import { WaterModel } from '../kit/water.model.js';
import { invalidField } from '../problem/problem-error.js';

type KitField = 'paperId' | 'waterId' | 'kettleId';

/** Kit that a recipe may name, by the field that names it. */
const KIT_FIELDS: Record<KitField, { model: ModelStatic<Model>; what: string }> = {
  paperId: { model: PaperModel, what: 'paper' },
  waterId: { model: WaterModel, what: 'water' },
  kettleId: { model: KettleModel, what: 'kettle' },
};

/** @throws ProblemError `invalid-input` at the field that names something the kit does not have */
export async function refuseUnknownKit(chosen: Partial<Record<KitField, number | null>>): Promise<void> {
  for (const [field, { model, what }] of Object.entries(KIT_FIELDS)) {
    const id = chosen[field as KitField] ?? null;
    if (id !== null && (await model.count({ where: { id } })) === 0)
      throw invalidField({ field, message: `There is no such ${what}.` });
  }
}
