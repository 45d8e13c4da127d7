import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { WaterMix, WaterOrigin } from '@vendu/contract';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'waters', version: 'revision' })
export class WaterModel extends Model {
  declare id: number;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare origin: WaterOrigin;
  @DecimalColumn(6, 1) declare hardnessMgPerL: number;
  @DecimalColumn(6, 1) declare alkalinityMgPerL: number;
  @DecimalColumn(6, 1) declare mineralsMgPerL: number;
  @Column(DataType.JSON) declare mix: WaterMix | null;
  declare revision: number;
}
