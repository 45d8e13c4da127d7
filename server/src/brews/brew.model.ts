import { BelongsTo, Column, DataType, HasMany, HasOne, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { BenchEvent, BrewPlan, StepDone, Verdict } from '@vendu/core';
import type { BrewKitNames } from '@vendu/contract';
import { RoastBatchModel } from '../lots/roast-batch.model.js';
import { PersonModel } from '../people/person.model.js';
import { RecipeVersionModel } from '../recipes/recipe-version.model.js';
import { CorrectionModel } from './correction.model.js';
import { FractionModel } from './fraction.model.js';
import { ReadingModel } from './reading.model.js';
import { TastingModel } from './tasting.model.js';
import { TraceModel } from './trace.model.js';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'brews', version: 'revision' })
export class BrewModel extends Model<InferAttributes<BrewModel>, InferCreationAttributes<BrewModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.CHAR(36)) declare clientKey: string;
  @Column(DataType.INTEGER) declare lotId: number;
  @Column(DataType.INTEGER) declare recipeVersionId: number;
  @Column(DataType.INTEGER) declare roastBatchId: number;
  @Column(DataType.INTEGER) declare brewedBy: number;
  @Column(DataType.DATE) declare startedAt: Date;
  /** The plan as it was when the brew was made. */
  @Column(DataType.JSON) declare plan: BrewPlan;
  @Column(DataType.JSON) declare steps: StepDone[];
  @Column(DataType.JSON) declare kit: BrewKitNames | null;
  /** Its water was poured by a stand-in. */
  @Column(DataType.BOOLEAN) declare isSimulated: CreationOptional<boolean>;
  /** Whoever brewed it had the card alone. */
  @Column(DataType.BOOLEAN) declare fromCard: CreationOptional<boolean>;
  @Column(DataType.JSON) declare events: BenchEvent[] | null;
  @DecimalColumn(6, 1) declare doseG: number | null;
  /** What a sieve took before the dose was weighed. */
  @DecimalColumn(6, 1) declare finesG: number | null;
  @DecimalColumn(6, 1) declare waterG: number | null;
  @DecimalColumn(6, 1) declare beverageG: number | null;
  /** What ran out after the brewer was lifted. */
  @DecimalColumn(6, 1) declare tailG: number | null;
  @DecimalColumn(4, 2) declare tailTdsPercent: number | null;
  @Column(DataType.STRING) declare tailNote: CreationOptional<string>;
  @Column(DataType.TEXT) declare note: string;
  @Column(DataType.STRING) declare verdict: Verdict | null;
  @Column(DataType.STRING) declare verdictReason: CreationOptional<string>;
  @Column(DataType.DATE) declare setAsideAt: Date | null;
  declare revision: CreationOptional<number>;
  @BelongsTo(() => PersonModel, 'brewedBy') declare brewer: NonAttribute<PersonModel>;
  @BelongsTo(() => RecipeVersionModel, 'recipeVersionId') declare version: NonAttribute<RecipeVersionModel>;
  @BelongsTo(() => RoastBatchModel, 'roastBatchId') declare roastBatch: NonAttribute<RoastBatchModel>;
  @HasMany(() => ReadingModel, 'brewId') declare readings: NonAttribute<ReadingModel[]>;
  @HasMany(() => TastingModel, 'brewId') declare tastings: NonAttribute<TastingModel[]>;
  @HasMany(() => FractionModel, 'brewId') declare fractions: NonAttribute<FractionModel[]>;
  @HasOne(() => TraceModel, 'brewId') declare trace: NonAttribute<TraceModel | null>;
  @HasMany(() => CorrectionModel, 'brewId') declare corrections: NonAttribute<CorrectionModel[]>;
}
