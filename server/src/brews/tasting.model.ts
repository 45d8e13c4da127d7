import { BelongsTo, Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { AromaMoment, Finding, Scores, TastingSheet, TastingStage, Vessel } from '@vendu/core';
import { PersonModel } from '../people/person.model.js';

@Table({ tableName: 'tastings' })
export class TastingModel extends Model<
  InferAttributes<TastingModel>,
  InferCreationAttributes<TastingModel>
> {
  declare id: CreationOptional<number>;
  /** When it was sent. */
  declare createdAt: CreationOptional<Date>;
  @Column(DataType.INTEGER) declare brewId: number;
  @Column(DataType.INTEGER) declare tastedBy: number;
  @Column(DataType.STRING) declare stage: TastingStage;
  @Column(DataType.STRING) declare notes: string;
  @Column(DataType.JSON) declare intensities: Scores;
  /** Empty in records older than this, as are the aromas. */
  @Column(DataType.JSON) declare likings: CreationOptional<Partial<Scores>>;
  @Column(DataType.TINYINT) declare overall: CreationOptional<number | null>;
  @Column(DataType.JSON) declare aromas: CreationOptional<Partial<Record<AromaMoment, string>>>;
  @Column(DataType.STRING) declare vessel: CreationOptional<Vessel | null>;
  @Column(DataType.JSON) declare faults: CreationOptional<readonly Finding[]>;
  @Column(DataType.BOOLEAN) declare isSpat: CreationOptional<boolean>;
  /** Another's sheet of that stage had been seen before this one was sent. */
  @Column(DataType.BOOLEAN) declare isAfterOthers: CreationOptional<boolean>;
  /** What was sent, where it was altered once others could be seen. */
  @Column(DataType.JSON) declare firstSheet: CreationOptional<TastingSheet | null>;
  @BelongsTo(() => PersonModel, 'tastedBy') declare taster: NonAttribute<PersonModel>;
}
