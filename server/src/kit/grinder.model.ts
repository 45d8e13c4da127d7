import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { MeasuredPoint } from '@vendu/core';
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
  @DecimalColumn(5, 2) declare settingStep: number;
  @Column(DataType.JSON) declare points: MeasuredPoint[];
  declare revision: CreationOptional<number>;
}
