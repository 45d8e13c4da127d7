import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CalibrationPoint } from '@vendu/core';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'grinders' })
export class GrinderModel extends Model {
  declare id: number;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare burrSet: string;
  @DecimalColumn(5, 2) declare settingStep: number;
  @Column(DataType.JSON) declare points: CalibrationPoint[];
}
