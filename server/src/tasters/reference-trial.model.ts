import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { ReferenceKind } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';

/** One set of reference cups that somebody tasted. It is his own, and leaves with no file. */
@Table({ tableName: 'reference_trials', updatedAt: false })
export class ReferenceTrialModel extends Model<
  InferAttributes<ReferenceTrialModel>,
  InferCreationAttributes<ReferenceTrialModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare personId: number;
  @Column(DataType.STRING) declare kind: ReferenceKind;
  @DecimalColumn(4, 2) declare differencePercent: number | null;
  @Column(DataType.BOOLEAN) declare isRight: boolean;
  declare createdAt: CreationOptional<Date>;
}
