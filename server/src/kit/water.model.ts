import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { WaterMix, WaterOrigin } from '@vendu/contract';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'waters', version: 'revision' })
export class WaterModel extends Model<InferAttributes<WaterModel>, InferCreationAttributes<WaterModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare origin: WaterOrigin;
  @DecimalColumn(6, 1) declare hardnessMgPerL: number;
  @DecimalColumn(6, 1) declare alkalinityMgPerL: number;
  @DecimalColumn(6, 1) declare mineralsMgPerL: number;
  @Column(DataType.JSON) declare mix: WaterMix | null;
  declare revision: CreationOptional<number>;
}
