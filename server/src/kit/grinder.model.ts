import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { GrinderWord, MeasuredPoint } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';

/** A grinder with one burr set; another set of burrs is another calibration and another row. */
@Table({ tableName: 'grinders', version: 'revision' })
export class GrinderModel extends Model<
  InferAttributes<GrinderModel>,
  InferCreationAttributes<GrinderModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare burrSet: string;
  /** Whose it is, where it is not the lab's. */
  @Column(DataType.STRING) declare owner: CreationOptional<string>;
  @DecimalColumn(5, 2) declare settingStep: number;
  @Column(DataType.JSON) declare points: MeasuredPoint[];
  @DecimalColumn(7, 2) declare finestSetting: number | null;
  @DecimalColumn(7, 2) declare coarsestSetting: number | null;
  @DecimalColumn(8, 1) declare burrsKg: number | null;
  @DecimalColumn(4, 1) declare retainedG: number | null;
  @Column(DataType.JSON) declare words: CreationOptional<GrinderWord[]>;
  declare revision: CreationOptional<number>;
}
