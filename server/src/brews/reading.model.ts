import { Column, DataType, Model, Table } from 'sequelize-typescript';
import { DecimalColumn } from '../database/decimal-column.js';

@Table({ tableName: 'readings', updatedAt: false })
export class ReadingModel extends Model {
  declare id: number;
  @Column(DataType.INTEGER) declare brewId: number;
  @DecimalColumn(5, 3) declare tdsPercent: number;
  @Column(DataType.INTEGER) declare readBy: number;
  @Column(DataType.DATE) declare removedAt: Date | null;
}
