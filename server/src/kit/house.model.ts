import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { ProofChecklist, Schools } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';

/** One row: the lab itself. Its windows are house data, not constants of nature. */
@Table({ tableName: 'house', version: 'revision' })
export class HouseModel extends Model<InferAttributes<HouseModel>, InferCreationAttributes<HouseModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare place: string;
  @Column(DataType.INTEGER) declare elevationM: number;
  @DecimalColumn(4, 1) declare roomC: number;
  /** `null` until the house takes a stand: then where most stand. */
  @Column(DataType.JSON) declare schools: Schools | null;
  /** `null` until a lead sets one: then the usual. */
  @Column(DataType.JSON) declare checklist: ProofChecklist | null;
  declare revision: CreationOptional<number>;
  @DecimalColumn(4, 2) declare tdsLowPercent: number;
  @DecimalColumn(4, 2) declare tdsHighPercent: number;
  @DecimalColumn(4, 1) declare yieldLowPercent: number;
  @DecimalColumn(4, 1) declare yieldHighPercent: number;
}
