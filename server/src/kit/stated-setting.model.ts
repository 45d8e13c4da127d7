import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import { DecimalColumn } from '../database/decimal-column.js';

/** Somebody's word that a setting of one grinder is a setting of another. */
@Table({ tableName: 'stated_settings', version: 'revision' })
export class StatedSettingModel extends Model<
  InferAttributes<StatedSettingModel>,
  InferCreationAttributes<StatedSettingModel>
> {
  declare id: CreationOptional<number>;
  @Column(DataType.INTEGER) declare grinderId: number;
  @DecimalColumn(7, 2) declare setting: number;
  @Column(DataType.INTEGER) declare otherGrinderId: number;
  @DecimalColumn(7, 2) declare otherSetting: number;
  @Column(DataType.STRING) declare source: string;
  declare revision: CreationOptional<number>;
}
