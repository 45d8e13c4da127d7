import { Column, DataType, Model, Table } from 'sequelize-typescript';
import type { CalibrationPoint } from '@vendu/core';

@Table({ tableName: 'grinders' })
export class GrinderModel extends Model {
  declare id: number;
  @Column(DataType.STRING) declare name: string;
  @Column(DataType.STRING) declare burrSet: string;
  @Column(DataType.DECIMAL(5, 2)) declare settingStep: number;
  @Column(DataType.JSON) declare points: CalibrationPoint[];
}
