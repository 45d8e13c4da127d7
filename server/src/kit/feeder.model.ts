import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import type { FeederKind } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';

/** What stands on a brewer and takes the pours. */
@Table({ tableName: 'feeders', version: 'revision' })
export class FeederModel extends Model<InferAttributes<FeederModel>, InferCreationAttributes<FeederModel>> {
  declare id: CreationOptional<number>;
  @Column(DataType.STRING) declare kind: FeederKind;
  @Column(DataType.STRING) declare name: string;
  @DecimalColumn(4, 1) declare holeMm: number | null;
  @Column(DataType.INTEGER) declare holdsG: number | null;
  @DecimalColumn(4, 1) declare flowGps: number | null;
  declare revision: CreationOptional<number>;
}
