import { BelongsTo, Column, DataType, HasMany, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { AgeNote, Aim, ProofChecklist, WatchLimits, Schools } from '@vendu/core';
import { BrewerModel } from '../kit/brewer.model.js';
import { GrinderModel } from '../kit/grinder.model.js';
import { KettleModel } from '../kit/kettle.model.js';
import { PaperModel } from '../kit/paper.model.js';
import { WaterModel } from '../kit/water.model.js';
import { LotModel } from '../lots/lot.model.js';
import { RecipeVersionModel } from './recipe-version.model.js';

/** The line of versions of one lot on one brewer. Its slug is the stable public address. */
@Table({ tableName: 'recipes' })
export class RecipeModel extends Model<InferAttributes<RecipeModel>, InferCreationAttributes<RecipeModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare lotId: number;
  @Column(DataType.INTEGER) declare brewerId: number;
  @Column(DataType.INTEGER) declare grinderId: number;
  @Column(DataType.INTEGER) declare paperId: number;
  @Column(DataType.INTEGER) declare waterId: number | null;
  @Column(DataType.INTEGER) declare kettleId: number | null;
  /** What it aims at by itself; `null` for what its school makes of the house's window. */
  @Column(DataType.JSON) declare aim: Aim | null;
  /** Stands of its own; `null` for the house's. */
  @Column(DataType.JSON) declare schools: Schools | null;
  /** What it is held to once it is public; `null` for what is usual. */
  @Column(DataType.JSON) declare watchLimits: WatchLimits | null;
  /** What its card says of an older bag; `null` for nothing. */
  @Column(DataType.JSON) declare ageNote: CreationOptional<AgeNote | null>;
  /** What its versions have to show before they are signed off; `null` for what the house asks. */
  @Column(DataType.JSON) declare checklist: ProofChecklist | null;
  /** Rules of the starting recipe that somebody switched off. */
  @Column(DataType.JSON) declare switchedOff: string[] | null;
  @Column(DataType.STRING) declare slug: string | null;
  @Column(DataType.INTEGER) declare createdBy: number;
  @BelongsTo(() => LotModel, 'lotId') declare lot: NonAttribute<LotModel>;
  @BelongsTo(() => BrewerModel, 'brewerId') declare brewer: NonAttribute<BrewerModel>;
  @BelongsTo(() => PaperModel, 'paperId') declare paper: NonAttribute<PaperModel>;
  @BelongsTo(() => WaterModel, 'waterId') declare water: NonAttribute<WaterModel | null>;
  @BelongsTo(() => KettleModel, 'kettleId') declare kettle: NonAttribute<KettleModel | null>;
  @BelongsTo(() => GrinderModel, 'grinderId') declare grinder: NonAttribute<GrinderModel>;
  @HasMany(() => RecipeVersionModel, 'recipeId') declare versions: NonAttribute<RecipeVersionModel[]>;
}
