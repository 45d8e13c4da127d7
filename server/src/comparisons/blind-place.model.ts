import { Column, DataType, HasMany, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import type { BlindSet } from '@vendu/core';
import { BlindAnswerModel } from './blind-answer.model.js';

/** Of the page of a place; one without a secret came with a file, and nobody tastes there any more. */
export const pathOfPlace = (secret: string | null): string => (secret === null ? '' : `/blind/${secret}`);

/** Where one taster stands: his cups, and the page of his phone. */
@Table({ tableName: 'blind_places', timestamps: false })
export class BlindPlaceModel extends Model<
  InferAttributes<BlindPlaceModel>,
  InferCreationAttributes<BlindPlaceModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare blindTestId: number;
  @Column(DataType.INTEGER) declare number: number;
  /** With the key. */
  @Column(DataType.JSON) declare cups: BlindSet;
  /** Of the address of its page; `null` of one that came with a file. */
  @Column(DataType.CHAR(22)) declare secret: string | null;
  /** The phone that took it. */
  @Column(DataType.CHAR(32)) declare device: CreationOptional<string | null>;
  @HasMany(() => BlindAnswerModel, 'blindPlaceId') declare answers: NonAttribute<BlindAnswerModel[]>;
}
