import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import type { Haze } from '@vendu/contract';
import { DecimalColumn } from '../database/decimal-column.js';

/** One cup of a split brew, in the order in which they were changed. */
@Table({ tableName: 'fractions' })
export class FractionModel extends Model<
  InferAttributes<FractionModel>,
  InferCreationAttributes<FractionModel>
> {
  @Column(DataType.INTEGER) declare brewId: number;
  @Column(DataType.INTEGER) declare place: number;
  @DecimalColumn(7, 1) declare startS: number;
  @DecimalColumn(7, 1) declare endS: number;
  @DecimalColumn(6, 1) declare beverageG: number | null;
  @DecimalColumn(5, 3) declare tdsPercent: number | null;
  @Column(DataType.STRING) declare colour: string;
  @Column(DataType.STRING) declare haze: Haze | null;
  @Column(DataType.STRING) declare notes: string;
  @Column(DataType.BOOLEAN) declare isWanted: boolean | null;
}
