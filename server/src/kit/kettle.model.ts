import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'kettles', version: 'revision' })
export class KettleModel extends Model<InferAttributes<KettleModel>, InferCreationAttributes<KettleModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare name: string;
  @DecimalColumn(4, 1) declare stepC: number;
  @Column(DataType.BOOLEAN) declare hasScale: boolean;
  @DecimalColumn(4, 1) declare mostFlowGps: number | null;
  @DecimalColumn(3, 1) declare holdsWithinC: number | null;
  @Column(DataType.BOOLEAN) declare lidStaysOpen: boolean | null;
  declare revision: CreationOptional<number>;
}
